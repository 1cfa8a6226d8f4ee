/** The arrows of the house: app → server, db, core; db → core; core → nothing of ours. */
const only = (name, from, to, comment) => ({
	name,
	severity: "error",
	comment,
	from: { path: from },
	to: { path: to },
});

module.exports = {
	forbidden: [
		only(
			"core-stands-alone",
			"^core/",
			"^(db|server|app|scripts|e2e)/",
			"The core knows nothing of storage, server or screens.",
		),
		{
			name: "core-is-pure",
			severity: "error",
			comment: "The core has no Node, no React and no database.",
			from: { path: "^core/", pathNot: "\\.test\\.ts$" },
			to: { dependencyTypes: ["core"] },
		},
		only(
			"core-has-no-interface",
			"^core/",
			"node_modules/(react|react-dom|react-router|@chakra-ui|drizzle-orm|@libsql)/",
			"The core has no interface and no database.",
		),
		only(
			"db-knows-only-core",
			"^db/",
			"^(server|app|scripts|e2e)/",
			"Storage knows the core and nothing above it.",
		),
		only("server-is-below-app", "^server/", "^(app|scripts|e2e)/", "The server does not know the screens."),
		{
			name: "areas-are-apart",
			severity: "error",
			comment: "An area does not import another area; what two need moves to ui/ or core/.",
			from: { path: "^app/(today|book|sittings|plan|lab|kitchen|preferences)/" },
			to: { path: "^app/(today|book|sittings|plan|lab|kitchen|preferences)/", pathNot: "^app/$1/" },
		},
		only(
			"ui-knows-no-area",
			"^app/(ui|theme)/",
			"^app/(today|book|sittings|plan|lab|kitchen|preferences)/",
			"Shared parts know no area.",
		),
		{
			name: "through-the-front-door",
			severity: "error",
			comment: "A folder of the core is used by its index from outside of the core.",
			from: { pathNot: "^core/" },
			to: { path: "^core/[^/]+/(?!index\\.ts$)" },
		},
		{
			name: "no-circles",
			severity: "error",
			from: {},
			to: { circular: true, viaOnly: { dependencyTypesNot: ["type-only"] } },
		},
		{
			name: "nothing-lost",
			severity: "error",
			from: {},
			to: { couldNotResolve: true, pathNot: "^(virtual:|\\./\\+types/)" },
		},
	],
	options: {
		doNotFollow: { path: "node_modules" },
		exclude: { path: "\\+types|virtual:" },
		tsPreCompilationDeps: true,
		tsConfig: { fileName: "tsconfig.json" },
		enhancedResolveOptions: {
			exportsFields: ["exports"],
			conditionNames: ["import", "default", "types"],
			extensions: [".ts", ".tsx", ".mjs", ".js"],
		},
	},
};
