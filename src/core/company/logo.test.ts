import { describe, expect, it } from 'vitest';
import { readLogo } from './logo';

const utf8 = (text: string): Uint8Array => new TextEncoder().encode(text);
const drawn = (bytes: Uint8Array): string => {
  const result = readLogo(bytes);
  return result.ok ? result.value.svg : (result.problems[0]?.code ?? '');
};
const inside = (content: string, root = ''): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 9 9"${root}>${content}<rect width="4" height="4"/></svg>`;

/** Ways in which script, or a request, has been hidden in a drawing. Each stands for a kind of its own. */
const HIDDEN: readonly string[] = [
  inside('<script>alert(1)</script>'),
  inside('<script type="text/ecmascript"><![CDATA[alert(1)]]></script>'),
  inside('<script xlink:href="https://x.example/a.js"/>'),
  inside('<script href="data:text/javascript,alert(1)"/>'),
  inside('<SCRIPT>alert(1)</SCRIPT>'),
  inside('<svg:script xmlns:svg="http://www.w3.org/2000/svg">alert(1)</svg:script>'),
  inside('<x:script xmlns:x="http://www.w3.org/1999/xhtml">alert(1)</x:script>'),
  inside('<g><g><script>alert(1)</script></g></g>'),
  inside('<text><![CDATA[</text><script>alert(1)</script>]]></text>'),
  inside('<text>&lt;script&gt;alert(1)&lt;/script&gt;</text>'),
  inside('<text>&#60;script&#62;alert(1)&#60;/script&#62;</text>'),
  inside('<title><![CDATA[<script>alert(1)</script>]]></title>'),
  inside('<desc><script>alert(1)</script></desc>'),
  inside('<metadata><script>alert(1)</script></metadata>'),
  inside('', ' onload="alert(1)"'),
  inside('', ' ONLOAD="alert(1)"'),
  inside('<rect onclick="alert(1)" width="9" height="9"/>'),
  inside('<g onmouseover="alert(1)"><path d="M0 0"/></g>'),
  inside('<path d="M0 0" onfocus="alert(1)" tabindex="0" autofocus="1"/>'),
  inside('<animate onbegin="alert(1)" attributeName="x" dur="1s"/>'),
  inside('<set attributeName="onmouseover" to="alert(1)"/>'),
  inside('<a xlink:href="javascript:alert(1)"><rect width="9" height="9"/></a>'),
  inside('<a href="java&#10;script:alert(1)"><text>x</text></a>'),
  inside('<a><animate attributeName="href" values="javascript:alert(1)"/><text>x</text></a>'),
  inside('<use href="data:image/svg+xml;base64,PHN2Zz48c2NyaXB0Lz48L3N2Zz4=#x"/>'),
  inside('<use xlink:href="https://x.example/a.svg#x"/>'),
  inside('<image href="https://x.example/pixel.png"/>'),
  inside('<image xlink:href="file:///etc/hostname"/>'),
  inside('<image href="data:image/svg+xml,&lt;svg onload=alert(1)&gt;"/>'),
  inside('<feImage href="https://x.example/i.svg"/>'),
  inside('<filter id="f"><feImage xlink:href="https://x.example/i"/></filter>'),
  inside('<foreignObject><iframe srcdoc="&lt;script&gt;alert(1)&lt;/script&gt;"/></foreignObject>'),
  inside('<foreignObject><body xmlns="http://www.w3.org/1999/xhtml" onload="alert(1)"/></foreignObject>'),
  inside('<iframe src="javascript:alert(1)"/>'),
  inside('<embed src="https://x.example"/><object data="https://x.example"/>'),
  inside('<handler xmlns:ev="http://www.w3.org/2001/xml-events" ev:event="load">alert(1)</handler>'),
  inside('<style>@import url(https://x.example/a.css);</style>'),
  inside('<style>rect{background:url(javascript:alert(1))}</style>'),
  inside('<rect style="fill:url(https://x.example/#p)" width="1" height="1"/>'),
  inside('<rect style="background:url(&apos;java\\script:alert(1)&apos;)" width="1" height="1"/>'),
  inside('<rect fill="url( https://x.example/#g )" width="1" height="1"/>'),
  inside('<rect clip-path="url(data:image/svg+xml,x#c)" width="1" height="1"/>'),
  inside('<path marker-end="url(https://x.example/#m)" d="M0 0"/>'),
  inside('<cursor xlink:href="https://x.example/c.png"/>'),
  inside('<color-profile xlink:href="https://x.example/p.icc"/>'),
  inside('<font-face><font-face-src><font-face-uri xlink:href="https://x.example/f"/></font-face-src></font-face>'),
  inside('<discard href="#x"/><video src="https://x.example/v"/><audio src="https://x.example/a"/>'),
  `<?xml-stylesheet type="text/css" href="https://x.example/a.css"?>${inside('')}`,
  `<?xml-stylesheet type="text/xsl" href="data:text/xml,alert(1)"?>${inside('')}`,
  inside('<?php alert(1) ?>'),
  inside('<!-- --><!--><script>alert(1)</script>-->'),
  inside('<switch><foreignObject><form action="https://x.example"/></foreignObject></switch>'),
  inside('<listener event="load" handler="#alert"/>'),
  inside('<tref xlink:href="https://x.example/t.svg#t"/>'),
  inside('<mpath xlink:href="https://x.example/p"/>'),
];

/** Elements and attributes that are left are on the list of what draws; text has no mark-up left in it. */
const TAG = /<\/?([a-zA-Z]+)((?:\s[^<>]*)?)>/g;
const DRAWS = /^(svg|g|path|rect|circle|text|tspan|defs|stop|clipPath|mask)$/;

describe('a logo in SVG', () => {
  it.each(HIDDEN)('has nothing left that runs or reaches out: %#', (source) => {
    const made = drawn(utf8(source));
    if (/^logo\.\w+$/.test(made)) return;
    for (const [, name = '', attributes = ''] of made.matchAll(TAG)) {
      expect(name).toMatch(DRAWS);
      expect(attributes).not.toMatch(/\son|href|src|handler|javascript|example|data:/i);
    }
    expect(made.replace(TAG, '')).not.toMatch(/[<>]/);
    expect(made).toContain('<rect width="4" height="4">');
  });
  it('are at least forty ways', () => {
    expect(new Set(HIDDEN).size).toBeGreaterThanOrEqual(40);
  });
  it('keeps what draws, and is given the size in which it is drawn', () => {
    const made = readLogo(
      utf8(inside('<rect width="4" height="4" fill="url(#g)" style="fill:#123"/><text x="1">Kelp &lt;b&gt;</text>')),
    );
    expect(made).toMatchObject({ ok: true, value: { width: 320, height: 320 } });
    expect(made.ok ? made.value.svg : '').toContain('<rect width="4" height="4" fill="url(#g)" style="fill:#123">');
    expect(made.ok ? made.value.svg : '').toContain('Kelp &lt;b&gt;');
  });
  it.each([
    ['<!DOCTYPE svg [<!ENTITY a "aaa">]><svg>&a;</svg>', 'logo.entities'],
    ['<html></html>', 'logo.svg'],
    ['<svg', 'logo.svg'],
    ['<svg></svg>', 'logo.svg'],
    ['<g>'.repeat(90), 'logo.svg'],
    ['GIF89a', 'logo.kind'],
    ['', 'logo.empty'],
    [`<svg>${' '.repeat(600_000)}</svg>`, 'logo.large'],
  ])('is refused: %#', (text, code) => {
    expect(drawn(utf8(text))).toBe(code);
  });
});

describe('a logo of points', () => {
  const png = (width: number, height: number): Uint8Array => {
    const bytes = new Uint8Array(40);
    bytes.set([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
    new DataView(bytes.buffer).setUint32(16, width);
    new DataView(bytes.buffer).setUint32(20, height);
    return bytes;
  };
  it('is told by its bytes, and fits into its room without being enlarged', () => {
    expect(readLogo(png(100, 50))).toMatchObject({ value: { width: 100, height: 50 } });
    expect(readLogo(png(1920, 320))).toMatchObject({ value: { width: 960, height: 160 } });
    const jpeg = new Uint8Array([0xff, 0xd8, 0xff, 0xe0, 0, 4, 0, 0, 0xff, 0xc0, 0, 17, 8, 0, 50, 0, 100, 3, 0, 0]);
    expect(readLogo(jpeg)).toMatchObject({ value: { width: 100, height: 50 } });
  });
  it.each([
    [png(60_000, 60_000), 'logo.points'],
    [png(0xffffffff, 0xffffffff), 'logo.points'],
    [png(0, 5), 'logo.broken'],
    [png(5, 5).slice(0, 20), 'logo.broken'],
    [new Uint8Array([0xff, 0xd8, 0xff, 0xe0]), 'logo.broken'],
    [new Uint8Array([0xff, 0xd8, ...Array<number>(5000).fill(0xff)]), 'logo.broken'],
  ])('is refused where it says no size, or one that cannot be drawn: %#', (bytes, code) => {
    expect(drawn(bytes)).toBe(code);
  });
});
