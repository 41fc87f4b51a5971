/** Numbers of damages, as they stand on the condition map; nothing where a treatment has only one. */
export function Tokens({ of, several }: { of: readonly number[]; several: boolean }) {
  if (!several) return null;
  return (
    <span className="op-for">
      {of.map((number) => (
        <span key={number} className="tok small">
          <span className="visually-hidden">for damage </span>
          {number}
        </span>
      ))}
    </span>
  );
}
