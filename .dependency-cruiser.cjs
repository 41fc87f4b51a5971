const core = (folders) => `^src/core/(${folders})/`;
const STATIONS = "survey|match|ready|join|fill|level|colour|close";

/** The floors of the house: who may import whom. */
module.exports = {
  forbidden: [
    {
      name: "no-cycles",
      severity: "error",
      from: { path: "^src" },
      to: { circular: true },
    },
    {
      name: "core-is-pure",
      comment: "the computation knows nothing of the screen, the database or the clock",
      severity: "error",
      from: { path: "^src/core", pathNot: "\\.(test|fixture)\\.ts$" },
      to: {
        path: [
          "^src/(store|work|devices|formats|app|ui|workers)/",
          "node_modules/(react|next|@mikro-orm|knex|pg|sharp|lucide-react|radix-ui)",
          "^(fs|net|http|https|child_process)$",
        ],
      },
    },
    { name: "units-on-the-ground", severity: "error", from: { path: core("units") }, to: { path: "^src/core/(?!units/)" } },
    { name: "catalogue-on-units", severity: "error", from: { path: core("catalogue") }, to: { path: "^src/core/(?!units/|catalogue/)" } },
    {
      name: "operations-below-stations",
      severity: "error",
      from: { path: core("mix|cure") },
      to: { path: "^src/core/(?!units/|catalogue/|mix/|cure/)" },
    },
    {
      name: "rows-below-stations",
      comment: "what a row is asked about and what it says; the engine that asks them stands above all stations",
      severity: "error",
      from: { path: core("operation") },
      to: { path: "^src/core/(?!units/|catalogue/|mix/|cure/|operation/)" },
    },
    {
      name: "no-sideways-between-stations",
      severity: "error",
      from: { path: `^src/core/(${STATIONS})/`, pathNot: "\\.test\\.ts$" },
      to: { path: "^src/core/(?!units/|catalogue/|mix/|cure/|operation/)", pathNot: "^src/core/$1/" },
    },
    {
      name: "plan-below-calc",
      severity: "error",
      from: { path: core("plan|record|schedule"), pathNot: "\\.test\\.ts$" },
      to: { path: "^src/core/(calc|openapi|problem)\\.ts" },
    },
    {
      name: "views-on-top-of-the-core",
      comment: "what pages show is put together from plan and record; neither knows of it",
      severity: "error",
      from: { path: "^src/core/(?!views/)", pathNot: "\\.(test|fixture)\\.ts$" },
      to: { path: core("views") },
    },
    { name: "record-below-plan", severity: "error", from: { path: core("record"), pathNot: "\\.test\\.ts$" }, to: { path: core("plan") } },
    { name: "store-on-core", severity: "error", from: { path: "^src/store" }, to: { path: "^src/(work|app|ui|formats|devices|workers)/" } },
    {
      name: "formats-on-core",
      severity: "error",
      from: { path: "^src/(formats|devices)" },
      to: { path: "^src/(work|app|ui|store|workers)/" },
    },
    { name: "work-below-app", severity: "error", from: { path: "^src/work" }, to: { path: "^src/(app|ui|workers)/" } },
    {
      name: "app-through-work",
      comment: "pages and handlers know no SQL",
      severity: "error",
      from: { path: "^src/app" },
      to: { path: "^src/(store|devices)/" },
    },
    {
      name: "ui-on-core-alone",
      severity: "error",
      from: { path: "^src/ui", pathNot: "\\.(test|fixture)\\.ts$" },
      to: { path: "^src/(store|work|devices|formats|app)/", pathNot: "^src/devices/browser/" },
    },
    {
      name: "no-schemas-in-the-browser",
      comment: "pages get data that was checked; schemas and Ajv stay on the server",
      severity: "error",
      from: { path: "^src/ui" },
      to: {
        path: ["\\.schema\\.ts$", "^src/core/(calc|problem|openapi)\\.ts$", "node_modules/(ajv|@sinclair)"],
        dependencyTypesNot: ["type-only"],
      },
    },
    {
      name: "only-the-store-knows-sql",
      severity: "error",
      from: { path: "^src/(app|ui|core|formats|devices)" },
      to: { path: "node_modules/(@mikro-orm|knex|pg)/" },
    },
  ],
  options: {
    tsPreCompilationDeps: true,
    tsConfig: { fileName: "tsconfig.json" },
    doNotFollow: { path: "node_modules" },
    exclude: { path: "\\.css$|^\\.next" },
    enhancedResolveOptions: { exportsFields: ["exports"], conditionNames: ["import", "require", "node", "default"] },
  },
};
