import { ChakraProvider } from "@chakra-ui/react/styled-system";
import { cleanup, render } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import type { ComponentType, ReactNode } from "react";
import { type ActionFunction, createRoutesStub } from "react-router";
import { afterEach } from "vitest";
import { system } from "../theme/system.ts";

afterEach(cleanup);

interface Around {
	/** The address it stands at. */
	readonly at?: string;
	/** What the server answers to what is sent. */
	readonly action?: ActionFunction;
}

/** Something as it stands on a page, with hands to use it. For tests under happy-dom. */
export function onScreen(shown: ReactNode | ComponentType, { at = "/", action }: Around = {}) {
	const Component = typeof shown === "function" ? shown : () => shown;
	const Stub = createRoutesStub([{ id: "root", path: "*", Component, ...(action ? { action } : {}) }]);
	const view = render(
		<ChakraProvider value={system}>
			<Stub initialEntries={[at]} />
		</ChakraProvider>,
	);
	return { ...view, user: userEvent.setup() };
}

/** The texts of a table, row by row, the head first. */
export function cellsIn(container: HTMLElement): string[][] {
	return [...container.querySelectorAll("tr")].map((row) =>
		[...row.querySelectorAll("th, td")].map((cell) => cell.textContent ?? ""),
	);
}
