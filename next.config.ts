import type { NextConfig } from "next";

const config: NextConfig = {
  serverExternalPackages: ["@mikro-orm/core", "@mikro-orm/knex", "@mikro-orm/postgresql", "@mikro-orm/migrations", "knex", "pg", "sharp"],
  // types are checked once, by `npm test`; whoever starts the app does not wait for it
  typescript: { ignoreBuildErrors: true },
  poweredByHeader: false,
  devIndicators: false,
  typedRoutes: false,
  headers: async () => [
    {
      source: "/:path*",
      headers: [
        { key: "x-content-type-options", value: "nosniff" },
        { key: "referrer-policy", value: "same-origin" },
        { key: "x-frame-options", value: "DENY" },
      ],
    },
  ],
};

export default config;
