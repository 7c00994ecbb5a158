import type { LetterheadView } from '@/actions/company/views';

/** The heading that every report carries: logo, name, address, numbers. With pre-printed paper it leaves its room blank in print. */
export const Letterhead = ({ books, head }: { readonly books: number; readonly head: LetterheadView }) => {
  const [name = '', ...lines] = head.lines;
  return (
    <div className={`flex flex-wrap-reverse items-end justify-end gap-x-3 ${head.preprinted ? 'print:invisible' : ''}`}>
      <div className="min-w-40 flex-1">
        <p className="title text-base leading-tight break-words">{name}</p>
        {lines.map((line) => (
          <p key={line} className="text-xs break-words text-ink-2">
            {line}
          </p>
        ))}
      </div>
      {head.logo !== null && (
        <img src={`/books/${String(books)}/logo?at=${head.logo}`} alt="" className="h-10 max-w-28 object-contain" />
      )}
    </div>
  );
};
