/**
 * The arrows of the house: app → server, db, core; db → core; core → nothing of ours. Folders
 * are matched by their place, so that a new room or area is guarded without being named.
 */
const forbidden = (name, from, to, comment) => ({
	name,
	severity: "error",
	comment,
	from: typeof from === "string" ? { path: from } : from,
	to: typeof to === "string" ? { path: to } : to,
});

/** What every area may use, though it stands beside them in `app/`. */
const SHARED = "(?:ui|theme|places|papers|workers)";

module.exports = {
	forbidden: [
		forbidden(
			"core-stands-alone",
			"^core/",
			{ path: "^[^/]+/", pathNot: "^(core|node_modules)/" },
			"The core knows nothing of storage, server or screens.",
		),
		forbidden(
			"core-is-pure",
			{ path: "^core/", pathNot: "\\.(test|testing)\\.ts$" },
			{ dependencyTypes: ["core"] },
			"The core has no Node.",
		),
		forbidden(
			"core-has-no-interface",
			"^core/",
			"node_modules/(react|react-dom|react-router|@chakra-ui|drizzle-orm|@libsql)/",
			"The core has no interface and no database.",
		),
		forbidden(
			"db-knows-only-core",
			"^db/",
			{ path: "^[^/]+/", pathNot: "^(db|core|node_modules)/", dependencyTypesNot: ["core"] },
			"Storage knows the core and nothing above it.",
		),
		forbidden(
			"server-is-below-app",
			"^server/",
			"^(app|scripts|e2e)/",
			"The server does not know the screens.",
		),
		forbidden(
			"areas-are-apart",
			{ path: "^app/([^/]+)/", pathNot: `^app/${SHARED}/` },
			{ path: "^app/[^/]+/", pathNot: `^app/(?:$1|${SHARED})/` },
			"An area does not import another area; what two need moves to ui/, places/, papers/ or core/.",
		),
		forbidden(
			"shared-parts-know-no-area",
			`^app/${SHARED}/`,
			{ path: "^app/[^/]+/", pathNot: `^app/${SHARED}/` },
			"Shared parts know no area.",
		),
		forbidden(
			"ui-is-below-places",
			"^app/(?:ui|theme)/",
			"^app/(?:places|papers|workers)/",
			"Drawings and words know no place of the table.",
		),
		forbidden(
			"through-the-front-door",
			{ path: "^(core|db)/([^/]+)/" },
			{ path: "^core/[^/]+/", pathNot: ["^$1/$2/", "^core/[^/]+/index\\.ts$", "\\.testing\\.ts$"] },
			"A room of the core is used by its index, from inside the core too.",
		),
		forbidden(
			"through-the-front-door-from-outside",
			{ pathNot: "^core/" },
			{ path: "^core/[^/]+/", pathNot: ["^core/.+/index\\.ts$", "\\.testing\\.ts$"] },
			"A room of the core is used by its index.",
		),
		forbidden(
			"through-the-inner-door",
			{ path: "^core/([^/]+)/([^/]+)/" },
			{ path: "^core/[^/]+/[^/]+/", pathNot: ["^core/$1/$2/", "/index\\.ts$", "\\.testing\\.ts$"] },
			"A room inside a room has a front door as well.",
		),
		forbidden(
			"storage-by-its-front-door",
			{ path: "^(app|server|scripts|bench)/" },
			{ path: "^db/", pathNot: ["^db/index\\.ts$", "^db/[^/]+/index\\.ts$", "\\.testing\\.ts$"] },
			"Storage is used by its index.",
		),
		{
			name: "no-circles",
			severity: "error",
			comment: "No circles, those of types included.",
			from: {},
			to: { circular: true },
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
