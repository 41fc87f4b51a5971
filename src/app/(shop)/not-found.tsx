import { Link } from "@/ui/frame/Link";

export default function NotFound() {
  return (
    <div className="state-page">
      <h1>This is not here</h1>
      <p>It may have been deleted, or the address is wrong. Find with / looks in every piece and treatment.</p>
      <Link href="/objects" className="btn">
        To Objects
      </Link>
    </div>
  );
}
