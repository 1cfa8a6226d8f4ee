/**
 * What measures a screen from within. These run in the page, as their own text: each stands for itself
 * or calls another of them by its name, and nothing is imported.
 */

interface Box {
	readonly left: number;
	readonly right: number;
	readonly top: number;
	readonly bottom: number;
}

type Colour = readonly [red: number, green: number, blue: number, alpha: number];

function isShown(element: Element): boolean {
	return (
		element.checkVisibility({ opacityProperty: true, visibilityProperty: true }) &&
		element.getBoundingClientRect().width > 1.5
	);
}

function wordsOf(element: Element): string {
	return (element.textContent ?? "").trim().slice(0, 48);
}

function drawnTexts(): SVGTextElement[] {
	return [...document.querySelectorAll<SVGTextElement>("svg text")].filter(
		(text) => isShown(text) && wordsOf(text) !== "",
	);
}

/** Text of drawings that is shown smaller than so many pixels. */
function smallTexts(least_px: number): string[] {
	return drawnTexts()
		.map((text) => {
			const scale = text.getScreenCTM()?.d ?? 1;
			return { text, px: Number.parseFloat(getComputedStyle(text).fontSize) * scale };
		})
		.filter(({ px }) => px < least_px - 0.05)
		.map(({ text, px }) => `${wordsOf(text)} (${px.toFixed(1)} px)`);
}

/** Where the letters of a text stand, without the room above and below them. */
function letterBox(text: Element): Box {
	const { left, right, top, height } = text.getBoundingClientRect();
	return { left: left + 1, right: right - 1, top: top + height * 0.36, bottom: top + height * 0.74 };
}

function meets(a: Box, b: Box): boolean {
	return a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;
}

function isLine(shape: Element): boolean {
	const style = getComputedStyle(shape);
	if (style.stroke === "none" || Number(style.strokeOpacity) === 0) return false;
	if (Number.parseFloat(style.strokeWidth) === 0) return false;
	return shape.tagName !== "path" || style.fill === "none";
}

/** Whether a line that is drawn before the text is hidden behind its letters: by a halo, or by a ground of its own. */
function isHidden(shape: Element, text: Element): boolean {
	const style = getComputedStyle(text);
	const hasHalo = style.paintOrder.startsWith("stroke") && Number.parseFloat(style.strokeWidth) >= 3;
	const ground = text.previousElementSibling;
	const hasGround =
		ground !== null &&
		["rect", "circle", "ellipse"].includes(ground.tagName) &&
		getComputedStyle(ground).fill !== "none" &&
		meets(letterBox(text), ground.getBoundingClientRect());
	return (
		(hasHalo || hasGround) && (shape.compareDocumentPosition(text) & Node.DOCUMENT_POSITION_FOLLOWING) !== 0
	);
}

function goesThrough(shape: SVGGeometryElement, box: Box): boolean {
	const matrix = shape.getScreenCTM();
	const length = shape.getTotalLength();
	if (!matrix || length === 0) return false;
	const steps = Math.min(1200, Math.ceil(length / 2));
	for (let step = 0; step <= steps; step += 1) {
		const { x, y } = shape.getPointAtLength((length * step) / steps).matrixTransform(matrix);
		if (x > box.left && x < box.right && y > box.top && y < box.bottom) return true;
	}
	return false;
}

/** Text of drawings that a line goes through, or that stands on other text. */
function struckTexts(): string[] {
	const struck: string[] = [];
	const texts = drawnTexts();
	for (const [index, text] of texts.entries()) {
		const box = letterBox(text);
		const shapes = text.ownerSVGElement?.querySelectorAll<SVGGeometryElement>("line, path, polyline") ?? [];
		const line = [...shapes].find(
			(shape) => isLine(shape) && !isHidden(shape, text) && goesThrough(shape, box),
		);
		if (line) struck.push(`${wordsOf(text)} (by a line)`);
		const other = texts
			.slice(index + 1)
			.find((next) => next.ownerSVGElement === text.ownerSVGElement && meets(box, letterBox(next)));
		if (other) struck.push(`${wordsOf(text)} (by ${wordsOf(other)})`);
	}
	return struck;
}

function cutsItsText(element: HTMLElement): boolean {
	if (!isShown(element) || element.closest("[data-scrolls]") || element.clientWidth <= 2) return false;
	const { overflowX, clipPath } = getComputedStyle(element);
	if (clipPath !== "none" || !["hidden", "clip"].includes(overflowX)) return false;
	return wordsOf(element) !== "" && element.scrollWidth > element.clientWidth + 1;
}

/** Text that is cut off by what it stands in, or by the edge of the screen; what is swiped is not cut off. */
function clippedTexts(): string[] {
	const edge = document.documentElement.clientWidth;
	const outside = drawnTexts().filter((text) => {
		const { left, right } = text.getBoundingClientRect();
		return !text.closest("[data-scrolls]") && (left < -0.5 || right > edge + 0.5);
	});
	const cut = [...document.querySelectorAll<HTMLElement>("main *, header *")].filter(cutsItsText);
	return [...outside, ...cut].map(wordsOf);
}

/** Any colour as the browser paints it. */
function painted(colour: string): Colour {
	const canvas = document.createElement("canvas").getContext("2d", { willReadFrequently: true });
	if (!canvas) throw new Error("no canvas");
	canvas.fillStyle = colour;
	canvas.fillRect(0, 0, 1, 1);
	const [red = 0, green = 0, blue = 0, alpha = 0] = canvas.getImageData(0, 0, 1, 1).data;
	return [red, green, blue, alpha / 255];
}

function luminance([red, green, blue]: Colour): number {
	const [r = 0, g = 0, b = 0] = [red, green, blue].map((value) => {
		const share = value / 255;
		return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
	});
	return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

function contrast(one: Colour, other: Colour): number {
	const [a, b] = [luminance(one), luminance(other)];
	return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
}

function groundOf(element: Element | null): Colour {
	for (let at = element; at; at = at.parentElement) {
		const colour = painted(getComputedStyle(at).backgroundColor);
		if (colour[3] > 0.99) return colour;
	}
	return [255, 255, 255, 1];
}

/** Parts of drawings that mean something: each against the ground it is drawn on. */
function drawnContrasts(): { name: string; is: number }[] {
	return [...document.querySelectorAll("svg [data-means]")].filter(isShown).map((part) => {
		const style = getComputedStyle(part);
		const drawn = painted(style.stroke === "none" ? style.fill : style.stroke);
		const ground = groundOf(part.closest("svg")?.parentElement ?? null);
		return { name: part.getAttribute("data-means") ?? "", is: contrast(drawn, ground) };
	});
}

/** The edge of what is selected, against itself and against what is beside it. */
function selectedContrasts(): { name: string; is: number }[] {
	const chosen = [...document.querySelectorAll("[aria-current], label:has(:checked)")].filter(isShown);
	return chosen.flatMap((element) => {
		const [edge] = getComputedStyle(element).boxShadow.match(/(?:rgba?|oklab|color)\([^)]*\)/) ?? [];
		if (!edge) return [];
		const drawn = painted(edge);
		const name = `${wordsOf(element)}, selected`;
		return [
			{ name, is: contrast(drawn, groundOf(element)) },
			{ name: `${name}, beside it`, is: contrast(drawn, groundOf(element.parentElement)) },
		];
	});
}

/** Their text, so that the page can be given them. */
export const IN_PAGE = [
	isShown,
	wordsOf,
	drawnTexts,
	smallTexts,
	letterBox,
	meets,
	isLine,
	isHidden,
	goesThrough,
	struckTexts,
	cutsItsText,
	clippedTexts,
	painted,
	luminance,
	contrast,
	groundOf,
	drawnContrasts,
	selectedContrasts,
]
	.map(String)
	.join("\n");
