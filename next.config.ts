import type { NextConfig } from "next";

const config: NextConfig = {
  serverExternalPackages: ["@mikro-orm/core", "@mikro-orm/knex", "@mikro-orm/postgresql", "@mikro-orm/migrations", "knex", "pg", "sharp"],
  poweredByHeader: false,
  devIndicators: false,
  typedRoutes: false,
};

export default config;
