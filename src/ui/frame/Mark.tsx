/** The mark: a path that goes on, one step higher, past a waymark. */
export function Mark() {
  return (
    <svg width="30" height="20" viewBox="0 0 30 20" aria-hidden="true">
      <path d="M0 10H30" stroke="currentColor" strokeWidth="1" />
      <path d="M.5 15.7L9.6 12.4M20.4 7.6L29.5 4.3" fill="none" stroke="currentColor" strokeWidth="3.2" />
      <path d="M15 2.4L18.6 10 15 17.6 11.4 10Z" fill="currentColor" />
    </svg>
  );
}
