"use client";
import { type ComponentType, lazy, Suspense } from "react";

/**
 * A part that is fetched when it is first shown. Until it is here nothing stands in its place, and the rest of the page goes on; where it
 * can't be fetched it says so instead of taking the page down.
 */
export function lazily<Props extends object>(load: () => Promise<ComponentType<Props>>): ComponentType<Props> {
  const Part = lazy<ComponentType<Props>>(() =>
    load().then(
      (part) => ({ default: part }),
      () => ({ default: NotHere as ComponentType<Props> }),
    ),
  );
  return (props) => (
    <Suspense fallback={null}>
      <Part {...props} />
    </Suspense>
  );
}

function NotHere() {
  return (
    <p className="wrong-note" role="alert">
      This part can’t be fetched: the server does not answer. Reload the page once it does; what you typed is kept.
    </p>
  );
}
