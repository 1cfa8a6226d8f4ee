import { chakra } from "@chakra-ui/react/styled-system";
import { Act, ActLink, Note } from "../ui/parts/parts.tsx";
import type { DayView } from "./day.view.ts";
import { useWaysOut } from "./useWaysOut.ts";

/** What the day goes without, what would free it, and the ways out that were tried. */
export function UnmetSheet({ view, onTrial }: { readonly view: DayView; readonly onTrial: boolean }) {
	if (view.unmet.length === 0) return null;
	return (
		<Note marginTop="14px">
			<chakra.ul display="grid" gap="8px">
				{view.unmet.map(({ id, names, because, frees }) => (
					<li key={id}>
						▲ <b>{because}</b>, for {names.join("; ")}. To free it: {frees}.
					</li>
				))}
			</chakra.ul>
			{onTrial ? null : <WaysOut date={view.date} />}
		</Note>
	);
}

function WaysOut({ date }: { readonly date: string }) {
	const { found, isLooking, far, look, stop } = useWaysOut(date);
	return (
		<chakra.div marginTop="12px" role="status">
			{isLooking ? (
				<chakra.span display="inline-flex" flexWrap="wrap" gap="8px 16px" alignItems="center">
					<progress value={far?.done ?? 0} max={Math.max(1, far?.all ?? 1)} aria-label="Days tried" />
					<span>{far && far.done > 0 ? `${far.done} days tried` : "Looking"}</span>
					<Act type="button" kind="plain" onClick={stop}>
						Stop
					</Act>
				</chakra.span>
			) : (
				<Act type="button" kind="plain" onClick={look}>
					{found ? "Look again" : "What would free all of it?"}
				</Act>
			)}
			{found && !isLooking ? (
				<>
					<chakra.p marginTop="10px">{found.says}</chakra.p>
					<chakra.ul display="grid">
						{found.ways.map(({ id, words, frees, to }) => (
							<chakra.li
								key={id}
								display="flex"
								flexWrap="wrap"
								gap="4px 16px"
								alignItems="center"
								borderTop="1px solid"
								borderColor="hair"
								paddingBlock="6px"
							>
								<chakra.span flex="1 1 280px">
									<b>{words}</b>: {frees}
								</chakra.span>
								{to ? (
									<ActLink to={to} preventScrollReset aria-label={`Try it: ${words}`}>
										Try it
									</ActLink>
								) : null}
							</chakra.li>
						))}
					</chakra.ul>
				</>
			) : null}
		</chakra.div>
	);
}
