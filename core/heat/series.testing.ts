import type { PieceForm } from "./index.ts";

/**
 * The first terms of the series for a body that meets a bath of another temperature: eigenvalues
 * of the film's condition, found by halving. Shares of the first difference left in the middle.
 */
export function seriesCore(shape: PieceForm, biot: number, fourier: number): number {
	const terms = 12;
	let sum = 0;
	for (let n = 1; n <= terms; n += 1) {
		const root = eigenvalue(shape, biot, n);
		sum += coefficient(shape, root) * Math.exp(-root * root * fourier);
	}
	return sum;
}

function eigenvalue(shape: PieceForm, biot: number, n: number): number {
	const miss = {
		slab: (x: number) => x * Math.sin(x) - biot * Math.cos(x),
		cylinder: (x: number) => x * bessel(1, x) - biot * bessel(0, x),
		ball: (x: number) => (1 - biot) * Math.sin(x) - x * Math.cos(x),
	}[shape];
	let found = 0;
	let low = 1e-6;
	while (found < n) {
		const high = low + 0.05;
		if (miss(low) * miss(high) <= 0) found += 1;
		if (found < n) low = high;
	}
	return halved(miss, low, low + 0.05);
}

function halved(miss: (x: number) => number, from: number, to: number): number {
	let [low, high] = [from, to];
	for (let round = 0; round < 50; round += 1) {
		const middle = (low + high) / 2;
		if (miss(low) * miss(middle) <= 0) high = middle;
		else low = middle;
	}
	return (low + high) / 2;
}

function coefficient(shape: PieceForm, root: number): number {
	if (shape === "slab") return (4 * Math.sin(root)) / (2 * root + Math.sin(2 * root));
	if (shape === "ball")
		return (4 * (Math.sin(root) - root * Math.cos(root))) / (2 * root - Math.sin(2 * root));
	return (2 / root) * (bessel(1, root) / (bessel(0, root) ** 2 + bessel(1, root) ** 2));
}

/** Bessel's integral, by the trapezium rule. */
function bessel(order: number, x: number): number {
	const steps = 400;
	let sum = 0;
	for (let step = 0; step < steps; step += 1) {
		const angle = (Math.PI * (step + 0.5)) / steps;
		sum += Math.cos(order * angle - x * Math.sin(angle));
	}
	return sum / steps;
}
