import { chakra } from "@chakra-ui/react/styled-system";
import { useSearchParams } from "react-router";
import type { InPages } from "../words/paging.ts";
import { ActLink, Key, Muted } from "./parts.tsx";

/** The way to the page before and after, with everything else of the address; nothing for a single page. */
export function Pages({ page, pages }: Pick<InPages, "page" | "pages">) {
	const [address] = useSearchParams();
	if (pages < 2) return null;
	const to = (number: number) => {
		const next = new URLSearchParams(address);
		next.set("page", String(number));
		return `?${next}`;
	};
	return (
		<chakra.nav aria-label="Pages" display="flex" gap="12px" alignItems="center" marginTop="14px">
			{page > 1 ? (
				<ActLink to={to(page - 1)} aria-keyshortcuts="[">
					Back <Key aria-hidden>[</Key>
				</ActLink>
			) : null}
			<Muted>
				Page {page} of {pages}
			</Muted>
			{page < pages ? (
				<ActLink to={to(page + 1)} aria-keyshortcuts="]">
					Next <Key aria-hidden>]</Key>
				</ActLink>
			) : null}
		</chakra.nav>
	);
}
