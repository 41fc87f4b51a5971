const base = {
  testEnvironment: "node",
  transform: {
    "^.+\\.[tj]sx?$": [
      "@swc/jest",
      {
        jsc: { target: "es2022", parser: { syntax: "typescript", tsx: true }, transform: { react: { runtime: "automatic" } } },
        module: { type: "commonjs" },
        sourceMaps: "inline",
      },
    ],
  },
  // shipped as modules only
  transformIgnorePatterns: ["/node_modules/(?!@tanstack/)"],
  // a style sheet says nothing to a test of what is drawn
  moduleNameMapper: { "^@/(.*)$": "<rootDir>/src/$1", "\\.css$": "<rootDir>/bin/lib/noStyle.cjs" },
  modulePathIgnorePatterns: ["<rootDir>/.next/", "<rootDir>/.data/"],
};

/** `unit` needs nothing; `store` needs a scratch database for each worker, called after DATABASE_URL and its number. */
export default {
  // a busy machine is no fault of what is tested
  testTimeout: 30_000,
  projects: [
    {
      ...base,
      displayName: "unit",
      testMatch: ["<rootDir>/src/{core,formats,devices,ui}/**/*.test.ts", "<rootDir>/{bin,demo}/**/*.test.ts"],
    },
    {
      ...base,
      displayName: "store",
      setupFiles: ["<rootDir>/bin/lib/workerDatabase.cjs"],
      testMatch: ["<rootDir>/src/{work,store}/**/*.test.ts"],
    },
  ],
};
