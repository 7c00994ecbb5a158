/** Names and addresses under which only this machine reaches itself. */
const LOOPBACK = ['localhost', '127.0.0.1', '::1'];

/** The name in a `Host` header, in small letters, without its port and without brackets. */
export const nameOfHost = (host: string): string => {
  const [, bracketed, bare] = /^(?:\[([^\]]*)\]|([^:]*))(?::\d{1,5})?$/.exec(host.toLowerCase()) ?? [];
  // An address with several colons and no brackets has no port.
  return bracketed ?? bare ?? host.toLowerCase();
};

export const isLoopback = (name: string): boolean => LOOPBACK.includes(nameOfHost(name));

/** Where a server is reached, as its environment says. */
export interface Address {
  /** The address that it listens on. */
  readonly listens: string;
  /** Whether others than this machine can reach it. */
  readonly open: boolean;
  /** What people type, without a slash at its end; undefined where it is only reached on this machine. */
  readonly publicUrl: string | undefined;
  /** Whether it is reached by TLS, so that cookies are for TLS only. */
  readonly secure: boolean;
}

/** Of the environment: `HOST`, `PUBLIC_URL` and `BEHIND_PROXY`. */
type Variables = Readonly<Partial<Record<string, string>>>;

/** What a variable of the environment says; undefined where it says nothing. */
export const setting = (value: string | undefined): string | undefined => {
  const text = value?.trim() ?? '';
  return text === '' ? undefined : text;
};

/**
 * Where a server is reached; or, where its variables do not fit together, the sentence that says so. Beyond loopback the address that
 * people use has to be known, and is reached by TLS, since passphrases go over it; a proxy in front may have another way (`BEHIND_PROXY`).
 *
 * @example typeof addressFrom({ HOST: '0.0.0.0' }) // 'string'
 */
export const addressFrom = (variables: Variables): Address | string => {
  const listens = setting(variables.HOST) ?? '127.0.0.1';
  const given = setting(variables.PUBLIC_URL);
  if (given === undefined)
    return isLoopback(listens)
      ? { listens, open: false, publicUrl: undefined, secure: false }
      : `HOST is ${listens}, which others can reach, so Bathron has to know the address that people use. Set PUBLIC_URL to it (https://…), or leave HOST away to answer on this machine only.`;
  if (!URL.canParse(given))
    return `PUBLIC_URL is ${given}, which is no address. Write it as people type it, for example https://books.example.com.`;
  const url = new URL(given);
  if (!['http:', 'https:'].includes(url.protocol) || url.pathname !== '/' || url.search !== '' || url.hash !== '')
    return `PUBLIC_URL is ${given}. It has to be https:// and a name, without anything after it.`;
  const secure = url.protocol === 'https:';
  if (!secure && setting(variables.BEHIND_PROXY)?.toLowerCase() !== 'yes')
    return `PUBLIC_URL is ${given}, over which passphrases could be read by others. Set it to an https:// address; or, where a proxy in front of Bathron sees to that in its own way, set BEHIND_PROXY=yes.`;
  return { listens, open: true, publicUrl: url.origin, secure };
};

/**
 * The address of whoever asked, from the header to which each proxy adds whom it was asked by: the last one, which the nearest proxy
 * wrote. What stands before it may be invented.
 *
 * @example clientOf('203.0.113.9, 198.51.100.7') // '198.51.100.7'
 */
export const clientOf = (forwarded: string | null): string => {
  const last = forwarded?.split(',').at(-1)?.trim() ?? '';
  return /^[\da-f.:]{2,45}$/i.test(last) ? last.replace(/^::ffff:(?=\d+\.)/, '') : '';
};

/** Whether a request came from this machine and through no proxy: under a loopback name, and only loopback addresses before it. */
export const isFromHere = (host: string | null, forwarded: string | null): boolean =>
  isLoopback(host ?? '') && (forwarded ?? '').split(',').every((one) => one.trim() === '' || isLoopback(clientOf(one)));

/**
 * The address that the server's command was told to listen on, which may be another than `HOST` where somebody started it past our own
 * commands; all of them where it was told none, as is its way. Undefined where it is no server's command.
 *
 * @example listensBy(['node', '/app/node_modules/next/dist/bin/next', 'start', '-p', '80']) // '0.0.0.0'
 */
export const listensBy = (command: readonly string[]): string | undefined => {
  const at = command.findIndex((word, index) => word === 'start' && /\bnext$/.test(command[index - 1] ?? ''));
  if (at < 0) return undefined;
  const told = command.findIndex((word, index) => index > at && (word === '-H' || word === '--hostname'));
  return (told < 0 ? undefined : command[told + 1]) ?? '0.0.0.0';
};
