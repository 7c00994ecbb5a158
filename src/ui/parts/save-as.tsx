/** Links that save the same thing in each open format. */
export const SaveAs = ({ href, label }: { readonly href: string; readonly label: string }) => (
  <span className="flex items-baseline gap-2 text-sm">
    <span className="text-ink-2">{label}</span>
    {['csv', 'xlsx', 'pdf'].map((format) => (
      <a key={format} className="link" href={`${href}${href.includes('?') ? '&' : '?'}format=${format}`}>
        {format.toUpperCase()}
      </a>
    ))}
  </span>
);
