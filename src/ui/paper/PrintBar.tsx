import { Link } from "../frame/Link";
import { PrintButton } from "./PrintButton";

interface Props {
  readonly label?: string;
  /** Where to go from the paper, and what that is called. */
  readonly links: ReadonlyArray<readonly [href: string, words: string]>;
}

/** What stands above a paper on screen and is not printed: print it, or go back. */
export function PrintBar({ label, links }: Props) {
  return (
    <div className="no-print btn-row mb-6">
      <PrintButton {...(label === undefined ? {} : { label })} />
      {links.map(([href, words]) => (
        <Link key={href} className="btn" href={href}>
          {words}
        </Link>
      ))}
    </div>
  );
}
