import { ChakraProvider, defaultSystem } from "@chakra-ui/react";
import { Links, Meta, Outlet, Scripts, ScrollRestoration } from "react-router";

/** The yardstick: the framework and the component library as they come, and nothing of ours. */
export default function Root() {
	return (
		<html lang="en">
			<head>
				<meta charSet="utf-8" />
				<meta name="viewport" content="width=device-width, initial-scale=1" />
				<Meta />
				<Links />
			</head>
			<body>
				<ChakraProvider value={defaultSystem}>
					<Outlet />
				</ChakraProvider>
				<ScrollRestoration />
				<Scripts />
			</body>
		</html>
	);
}
