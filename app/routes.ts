import { index, type RouteConfig, route } from "@react-router/dev/routes";

export default [
	index("today/today.route.tsx"),
	route("book", "book/book.route.tsx"),
	route("book/:recipeId", "book/card.route.tsx"),
	route("sittings", "sittings/sittings.route.tsx"),
	route("sittings/new", "sittings/newSitting.route.tsx"),
	route("sittings/:sittingId", "sittings/sitting.route.tsx"),
	route("sittings/:sittingId/dishes/:dishId", "plan/longTable.route.tsx"),
	route("sittings/:sittingId/dishes/:dishId/sheet", "plan/sheet.route.tsx"),
	route("kitchen", "kitchen/kitchen.route.tsx"),
	route("kitchen/house", "kitchen/house.route.tsx"),
	route("kitchen/pans/:panId", "kitchen/pan.route.tsx"),
	route("kitchen/ovens/:ovenId", "kitchen/oven.route.tsx"),
	route("preferences", "preferences/preferences.route.tsx"),
	route("*", "ui/notFound.route.tsx"),
] satisfies RouteConfig;
