import { chakra } from "@chakra-ui/react/styled-system";
import { CavityFrame } from "./CavityFrame.tsx";
import type { OvenDrawing } from "./drawings.ts";
import { PansOnRungs } from "./PansOnRungs.tsx";

/** An oven as a cavity with its rungs and the pans on them, from the bottom up. */
export function OvenCavity({ oven }: { readonly oven: OvenDrawing }) {
	return (
		<chakra.figure maxWidth="100%">
			<CavityFrame oven={oven} words={oven.words}>
				{(inside) => <PansOnRungs pans={oven.pans} rungs={oven.taken} inside={inside} />}
			</CavityFrame>
			<chakra.figcaption marginTop="4px">
				<b>{oven.name}</b>, {oven.set}
			</chakra.figcaption>
		</chakra.figure>
	);
}
