import { join } from 'node:path';
import { Resvg } from '@resvg/resvg-js';
import { type Draw, type Task, tasks } from './tasks';

/** A thread of the server's pool: it reads one file at a time and knows nothing of the database. */

const draw: Draw = ({ svg, width }) => {
  const drawn = new Resvg(svg, {
    fitTo: { mode: 'width', value: width },
    // The one font that lies beside this file; nothing of the machine is looked at.
    font: {
      loadSystemFonts: false,
      fontFiles: [join(import.meta.dirname, 'logo-font.ttf')],
      defaultFontFamily: 'Roboto',
    },
    logLevel: 'off',
  });
  return drawn.getBBox() === undefined ? undefined : new Uint8Array(drawn.render().asPng());
};

const all = tasks(draw) as Readonly<Record<string, (input: unknown) => unknown>>;

/** Without a task it only says that it has begun. */
export default (given: { readonly task: Task; readonly input: unknown } | null): unknown =>
  given === null ? true : all[given.task]?.(given.input);
