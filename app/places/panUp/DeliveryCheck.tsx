import { chakra } from "@chakra-ui/react/styled-system";
import { useState } from "react";
import type { MixedPacking } from "#core/pans";
import { PanFromAbove } from "../../ui/drawings/PanFromAbove.tsx";
import { SliderField } from "../../ui/forms/SliderField.tsx";
import { Act, Figure, Muted } from "../../ui/parts/parts.tsx";
import { counted } from "../../ui/words/reading.ts";
import type { AlikePans, PanUpView } from "./panUp.view.ts";
import { usePacking } from "./usePacking.ts";

/** Orders that are tried before the answer is given, and the sample of the delivery. */
const ROUNDS = 300;
const SEED = 1;

/** The same pans with pieces as they are really cut: none like another. */
export function DeliveryCheck({ view, pan }: { readonly view: PanUpView; readonly pan: AlikePans }) {
	const [spread, setSpread] = useState(12);
	const [drawn, setDrawn] = useState(0);
	const { packing, start, stop } = usePacking();
	const pieces = view.pans.reduce((sum, alike) => sum + alike.count * alike.pieces, 0);
	const lay = () => {
		setDrawn(0);
		start({
			shape: pan.shape,
			piece: view.piece,
			pieces,
			gap_mm: view.gap_mm,
			spread: spread / 100,
			seed: SEED,
			rounds: ROUNDS,
		});
	};
	return (
		<chakra.details marginTop="4px">
			<summary>If the pieces vary</summary>
			<chakra.div display="flex" flexWrap="wrap" gap="8px 14px" alignItems="center">
				<chakra.div flex="1 1 240px">
					<SliderField
						label="Weights vary by"
						value={spread}
						low={0}
						high={40}
						text={`± ${spread} %`}
						onValue={setSpread}
					/>
				</chakra.div>
				{packing.state === "running" ? (
					<Act type="button" onClick={stop}>
						Stop
					</Act>
				) : (
					<Act type="button" onClick={lay}>
						Lay {pieces} of them in {pan.name}
					</Act>
				)}
			</chakra.div>
			<chakra.div role="status" marginTop="8px">
				{packing.state === "running" ? (
					<>
						<progress value={packing.share} max={1} aria-label="Laying the pieces" />{" "}
						{packing.pans === null ? "laying" : `${counted(packing.pans, "pan")} so far`}
					</>
				) : null}
				{packing.state === "failed" ? "It could not be laid on this machine; the plan above holds." : null}
				{packing.state === "done" ? <PackedWords packed={packing.packed} /> : null}
			</chakra.div>
			{packing.state === "done" && packing.packed.pans.length > 0 ? (
				<Mixed packed={packing.packed} pan={pan} drawn={drawn} onDraw={setDrawn} />
			) : null}
		</chakra.details>
	);
}

function PackedWords({ packed }: { readonly packed: MixedPacking }) {
	return (
		<>
			<Figure>{counted(packed.pans.length, "pan")}</Figure>{" "}
			<Muted>
				like with like; the area alone would ask for {packed.bound}.
				{packed.without.length > 0 ? ` ${counted(packed.without.length, "piece")} too large for it.` : ""}
			</Muted>
		</>
	);
}

interface MixedProps {
	readonly packed: MixedPacking;
	readonly pan: AlikePans;
	readonly drawn: number;
	readonly onDraw: (index: number) => void;
}

function Mixed({ packed, pan, drawn, onDraw }: MixedProps) {
	const placed = packed.pans[Math.min(drawn, packed.pans.length - 1)] ?? [];
	const words = `${pan.name} ${drawn + 1} of ${packed.pans.length} with ${counted(placed.length, "piece")} of its own size each.`;
	return (
		<chakra.div maxWidth="480px" marginTop="8px">
			<PanFromAbove pan={{ ...pan.drawing, placed, words }} filled />
			<chakra.div display="flex" gap="8px" alignItems="center" marginTop="6px">
				<Act type="button" disabled={drawn === 0} onClick={() => onDraw(drawn - 1)}>
					Before
				</Act>
				<Act type="button" disabled={drawn + 1 >= packed.pans.length} onClick={() => onDraw(drawn + 1)}>
					Next
				</Act>
				<Muted>
					pan {drawn + 1}: {placed.length} pieces
				</Muted>
			</chakra.div>
		</chakra.div>
	);
}
