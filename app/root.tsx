import { ChakraProvider } from "@chakra-ui/react/styled-system";
import textFont from "@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2?url";
import headFont from "@fontsource-variable/bricolage-grotesque/files/bricolage-grotesque-latin-standard-normal.woff2?url";
import type { ReactNode } from "react";
import {
	isRouteErrorResponse,
	Links,
	Meta,
	Outlet,
	Scripts,
	ScrollRestoration,
	useRouteLoaderData,
} from "react-router";
import type { Route } from "./+types/root";
import fontFaces from "./theme/fonts.css?inline";
import { system } from "./theme/system.ts";
import { Busy } from "./ui/parts/Busy.tsx";
import { Lost } from "./ui/parts/Lost.tsx";
import { Shell } from "./ui/parts/Shell.tsx";
import { ShortKeys } from "./ui/parts/ShortKeys.tsx";
import { visitOf } from "./ui/server/visit.ts";

export const links: Route.LinksFunction = () => [
	...[textFont, headFont].map((href) => ({
		rel: "preload",
		href,
		as: "font" as const,
		type: "font/woff2",
		crossOrigin: "anonymous" as const,
	})),
	{ rel: "icon", href: "/favicon.ico", sizes: "48x48" },
	{ rel: "icon", href: "/icon.svg", type: "image/svg+xml", sizes: "any" },
	{ rel: "apple-touch-icon", href: "/apple-touch-icon.png" },
	{ rel: "manifest", href: "/site.webmanifest" },
];

export const meta: Route.MetaFunction = () => [{ title: "Wide Table" }];

export async function loader({ context }: Route.LoaderArgs) {
	const { house, reading, preferences } = await visitOf(context);
	return {
		house: house.name,
		who: preferences.who ?? null,
		units: reading.units,
		light: preferences.light,
		shortKeys: preferences.shortKeys,
		timeZone: house.timeZone,
		clockHours: reading.clockHours,
		now: reading.now,
		clock: reading.clock(reading.now),
	};
}

export { revalidateWhenSent as shouldRevalidate } from "./ui/forms/offline.ts";

export function Layout({ children }: { readonly children: ReactNode }) {
	const view = useRouteLoaderData<typeof loader>("root");
	return (
		<html
			lang="en-GB"
			data-light={view?.light ?? "bench"}
			data-short-keys={view?.shortKeys === false ? "off" : "on"}
		>
			<head>
				<meta charSet="utf-8" />
				<meta name="viewport" content="width=device-width, initial-scale=1" />
				<Meta />
				<Links />
				{/* As a file it would hold up everything that is seen. */}
				<style>{fontFaces}</style>
			</head>
			<body>
				<ChakraProvider value={system}>{children}</ChakraProvider>
				<ScrollRestoration />
				<Scripts />
			</body>
		</html>
	);
}

export default function Root({ loaderData }: Route.ComponentProps) {
	return (
		<Shell view={loaderData}>
			<Busy />
			<ShortKeys on={loaderData.shortKeys} />
			<Outlet />
		</Shell>
	);
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
	const view = useRouteLoaderData<typeof loader>("root");
	const lost = <Lost {...whatWentWrong(error)} />;
	return view ? <Shell view={view}>{lost}</Shell> : lost;
}

function whatWentWrong(error: unknown): { status: number; what?: string; said?: string } {
	if (error instanceof TypeError && /fetch/i.test(error.message)) return { status: 0 };
	if (!isRouteErrorResponse(error)) return { status: 500 };
	const { missing, said }: { missing?: unknown; said?: unknown } = error.data ?? {};
	if (typeof said === "string") return { status: error.status, said };
	return typeof missing === "string" ? { status: error.status, what: missing } : { status: error.status };
}
