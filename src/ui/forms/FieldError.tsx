import { SignShape } from "../signs/Sign";

/** What is wrong with a field, said at the field. */
export function FieldError({ id, children }: { id: string; children: string | undefined }) {
  if (!children) return null;
  return (
    <p id={id} className="wrong-note" role="alert">
      <SignShape name="never" size={12} />
      {children}
    </p>
  );
}
