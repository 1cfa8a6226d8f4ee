import { chakra } from "@chakra-ui/react/styled-system";
import type { ReactNode } from "react";
import { Muted } from "./parts.tsx";
import { Tape } from "./Tape.tsx";

interface PageHeadProps {
	readonly title: string;
	/** A line under the tape. */
	readonly says?: string;
	/** What is done from here, at the right. */
	readonly children: ReactNode;
}

/** The head of a page about one thing: its name on tape, and where to go from it. */
export function PageHead({ title, says, children }: PageHeadProps) {
	return (
		<chakra.div display="flex" flexWrap="wrap" alignItems="center" gap="10px 14px">
			<div>
				<h1>
					<Tape size="large">{title}</Tape>
				</h1>
				{says ? <Muted>{says}</Muted> : null}
			</div>
			<chakra.div marginInlineStart="auto">{children}</chakra.div>
		</chakra.div>
	);
}
