/** Reads nothing: `npm run bench` measures what Next itself costs against it. */
export default function BarePage() {
  return <p>Nothing but the frame of a page.</p>;
}
