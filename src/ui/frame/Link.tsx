import NextLink from "next/link";
import type { ComponentProps } from "react";

/** A link to a page of the app. Nothing is fetched ahead: every page is of the moment in which it is opened, and a page has thirty links. */
export const Link = (props: ComponentProps<typeof NextLink>) => <NextLink prefetch={false} {...props} />;
