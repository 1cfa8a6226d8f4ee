import { index, type RouteConfig } from "@react-router/dev/routes";

export default [index("page.tsx")] satisfies RouteConfig;
