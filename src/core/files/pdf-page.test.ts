import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type PlacedText, printedPage } from './pdf-page';

const [WIDTH, HEIGHT] = [600, 850];
const upright = (x: number, y: number, str: string): PlacedText => ({
  str,
  transform: [10, 0, 0, 10, x, y],
  width: str.length * 6,
  height: 10,
});
/** The same text on a page turned a quarter to the right. */
const quarter = ({ transform, ...text }: PlacedText, width: number): PlacedText => {
  const [a = 0, b = 0, c = 0, d = 0, x = 0, y = 0] = transform;
  return { ...text, transform: [b, -a, d, -c, y, width - x] };
};
const shown = (texts: readonly PlacedText[], width: number, height: number) =>
  printedPage(texts, [1, 0, 0, -1, 0, height], width, height);

const text = fc.record({
  x: fc.integer({ min: 0, max: 500 }),
  y: fc.integer({ min: 0, max: 840 }),
  str: fc.string({ minLength: 1, maxLength: 12 }).filter((one) => one.trim() !== ''),
});

describe('a printed page', () => {
  it('reads the same however it is turned', () => {
    fc.assert(
      fc.property(fc.array(text, { minLength: 1, maxLength: 20 }), (list) => {
        let texts = list.map(({ x, y, str }) => upright(x, y, str));
        const first = shown(texts, WIDTH, HEIGHT);
        let [width, height] = [WIDTH, HEIGHT];
        for (let turn = 0; turn < 3; turn += 1) {
          texts = texts.map((one) => quarter(one, width));
          [width, height] = [height, width];
          const now = shown(texts, width, height);
          expect(now.pieces).toEqual(first.pieces);
          expect([now.width, now.height]).toEqual([WIDTH, HEIGHT]);
        }
      }),
    );
  });

  it('keeps what runs across it out of the table, and says what that was', () => {
    const slanted = { str: 'DRAFT 2', transform: [30, 30, -30, 30, 100, 100], width: 200, height: 42 };
    const edge = { str: 'form 17', transform: [0, 8, -8, 0, 12, 300], width: 40, height: 8 };
    const page = shown([upright(40, 700, '1010 Bank'), upright(300, 700, '12,500.00'), slanted, edge], WIDTH, HEIGHT);
    expect(page.pieces.map((one) => one.text)).toEqual(['1010 Bank', '12,500.00']);
    expect(page.across).toEqual(['DRAFT 2', 'form 17']);
  });
});
