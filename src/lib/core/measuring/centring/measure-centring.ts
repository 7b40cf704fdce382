import {
	bordersOf,
	centringShare,
	outlineOf,
	type Borders,
	type CentringShare,
	type PictureKind
} from './centring-of-quads.ts';
import { endsOf, findInnerEdge, SIDES, type InnerEdge, type Side } from './inner-frame.ts';
import { findForeground, type Box } from './foreground.ts';
import { findOuterEdges, type OuterEdges } from './outer-edges.ts';
import { inGrey, type Picture } from './picture.ts';
import { quadOf, shapeOf, type Quad } from './quad.ts';

/** The size of an ID-1 card, a bank or identity card (ISO/IEC 7810), in millimetres. */
export const ID_1 = { widthMm: 85.6, heightMm: 53.98 } as const;

/** How the scale of a picture is known: the card's true width, an ID-1 card beside it, pixels to a millimetre; null: it is not. */
export type ScaleSource =
	| { readonly by: 'width'; readonly widthMm: number }
	| { readonly by: 'id-1' }
	| { readonly by: 'resolution'; readonly pxPerMm: number }
	| null;

/** The size of a card and how square it is. */
export interface CardSize {
	readonly widthMm: number;
	readonly heightMm: number;
	/** How much the longer of two opposite sides is longer. */
	readonly widthDifferenceMm: number;
	readonly heightDifferenceMm: number;
	/** How far the corner furthest from a right angle is off it, in degrees. */
	readonly offSquareDeg: number;
}

/** How a card's printing sits on it. */
export interface Centring {
	readonly borders: Borders;
	readonly leftRight: CentringShare;
	readonly topBottom: CentringShare;
}

/** What a picture says of a card. */
export interface MeasuredCard {
	/** 0: it can't be said, for the reasons; up to 1: every scan line agrees. */
	readonly confidence: number;
	readonly reasons: readonly string[];
	readonly outer: Quad | null;
	readonly inner: Quad | null;
	/** Clockwise, in degrees. */
	readonly turnDeg: number | null;
	readonly centring: Centring | null;
	/** null: no scale is known, or no edges. */
	readonly size: CardSize | null;
}

/** From this confidence on brightness alone decides. */
const SURE = 0.55;
/** Error of an edge that no number of scan lines takes away, in pixels: half a step of blur. An assumption of ours. */
const SYSTEMATIC_PX = 0.15;
/** The same where only colour tells: JPEG keeps it for two by two pixels. */
const SYSTEMATIC_COLOUR_PX = 0.5;
/** An edge that nobody saw on a part of its length is off by so many times more. */
const UNSEEN_WEIGHT = 4;
/** Two sides that differ by more than this part make a picture that was taken at a slant. */
const SLANT_PART = 0.012;
/** A card turned further than this is not measured, in degrees. */
const MOST_TURN_DEG = 12;

/**
 * Finds a card in a scan or photo, the frame within its border, and how the two sit: rows and columns are scanned for where the
 * background ends and where the border does, and lines are laid through these places that a quarter of wrong ones does
 * not move. Where there is no border, or no edge, it says so and measures no centring.
 */
export function measureCentring(
	picture: Picture,
	kind: PictureKind,
	scale: ScaleSource
): MeasuredCard {
	const byBrightness = measureIn(inGrey(picture), kind, scale, SYSTEMATIC_PX);
	if (byBrightness.confidence >= SURE || picture.channels === 1) return byBrightness;
	// A border can differ from the picture in colour alone.
	const byColour = measureIn(picture, kind, scale, SYSTEMATIC_COLOUR_PX);
	const isBetter =
		byColour.confidence > byBrightness.confidence || (!byBrightness.outer && byColour.outer);
	return isBetter ? byColour : byBrightness;
}

function measureIn(
	picture: Picture,
	kind: PictureKind,
	scale: ScaleSource,
	systematicPx: number
): MeasuredCard {
	const ground = findForeground(picture);
	if ('reason' in ground) return nothing([ground.reason]);
	const picked = pickCard(ground.found.boxes, scale);
	if ('reason' in picked) return nothing([picked.reason]);
	const edges = findOuterEdges(picture, picked.card, ground.found);
	if ('reason' in edges) return nothing([edges.reason]);
	const outer = quadOf(edges.found);
	const { turnDeg } = outlineOf(outer);
	if (Math.abs(turnDeg) > MOST_TURN_DEG) {
		return nothing([`the card is turned by ${turnDeg.toFixed(0)}°: lay it straighter`]);
	}
	const reference = picked.reference && findOuterEdges(picture, picked.reference, ground.found);
	const pxPerMm =
		reference && 'reason' in reference
			? null
			: scaleOf(outer, reference ? quadOf(reference.found) : null, scale);
	const size = pxPerMm === null ? null : sizeOf(outer, pxPerMm);
	const reasons = [
		...(reference && 'reason' in reference ? [`the card of known size: ${reference.reason}`] : []),
		...(kind === 'scan' && isSlanted(outer)
			? ['opposite sides differ: hand-cut, or a photo taken at a slant; say which it is']
			: [])
	];
	const found = SIDES.map((side) => findInnerEdge(picture, outer, side));
	const inner = found.flatMap((edge) => ('found' in edge ? [edge.found] : []));
	const missing = found.flatMap((edge) => ('reason' in edge ? [edge.reason] : []));
	const known = { outer, turnDeg, size };
	if (missing.length > 0) {
		return {
			...{ confidence: 0, reasons: [...reasons, ...missing], inner: null, centring: null },
			...known
		};
	}
	const frame = frameQuad(outer, inner);
	return {
		confidence: Math.min(
			...inner.map(({ share }) => share),
			...Object.values(edges.found).map(({ share }: OuterEdges['left']) => share)
		),
		...{ reasons, inner: frame, ...known },
		centring: centringOf(outer, frame, kind, errorsOf(edges.found, inner, systematicPx))
	};
}

/**
 * The centring between guides that were laid by hand.
 *
 * @param errorPx how exactly each was laid, in pixels
 */
export function centringOfGuides(
	outer: Quad,
	inner: Quad,
	kind: PictureKind,
	errorPx: number
): Centring {
	const error = Math.hypot(errorPx, errorPx);
	return centringOf(outer, inner, kind, { left: error, right: error, top: error, bottom: error });
}

/** How a card between guides is turned, and its size where the scale is known; an ID-1 card has no guides. */
export function outlineOfGuides(
	outer: Quad,
	scale: ScaleSource
): Pick<MeasuredCard, 'turnDeg' | 'size'> {
	const pxPerMm = scaleOf(outer, null, scale);
	return {
		turnDeg: outlineOf(outer).turnDeg,
		size: pxPerMm === null ? null : sizeOf(outer, pxPerMm)
	};
}

function centringOf(
	outer: Quad,
	inner: Quad,
	kind: PictureKind,
	errors: Readonly<Record<Side, number>>
): Centring {
	const borders = bordersOf(outer, inner, kind);
	return {
		borders,
		leftRight: centringShare(borders.left, borders.right, [errors.left, errors.right]),
		topBottom: centringShare(borders.top, borders.bottom, [errors.top, errors.bottom])
	};
}

/** Standard errors of the widths of the borders, in pixels: of both lines, and what is left of blur. */
function errorsOf(
	outer: OuterEdges,
	inner: readonly InnerEdge[],
	systematicPx: number
): Readonly<Record<Side, number>> {
	const of = ({ deviation, count }: { readonly deviation: number; readonly count: number }) =>
		deviation / Math.sqrt(Math.max(1, count));
	const error = (side: Side) => {
		const edge = inner.find((each) => each.side === side);
		// An edge that many scan lines miss may lie beside where the others saw it.
		const unseen = 1 + UNSEEN_WEIGHT * (1 - Math.min(outer[side].share, edge?.share ?? 1));
		return Math.hypot(of(outer[side]), edge ? of(edge) : 0, systematicPx * unseen);
	};
	return {
		left: error('left'),
		right: error('right'),
		top: error('top'),
		bottom: error('bottom')
	};
}

/** The frame within the border, as four corners. */
function frameQuad(outer: Quad, inner: readonly InnerEdge[]): Quad {
	const lineOf = (side: Side) => {
		const edge = inner.find((each) => each.side === side);
		if (!edge) throw new RangeError(`frameQuad: no ${side} edge`);
		const [a, b] = endsOf(outer, edge);
		const isUpright = side === 'left' || side === 'right';
		const slope = isUpright ? (b.x - a.x) / (b.y - a.y) : (b.y - a.y) / (b.x - a.x);
		return { slope, at: isUpright ? a.x - slope * a.y : a.y - slope * a.x };
	};
	return quadOf({
		left: lineOf('left'),
		right: lineOf('right'),
		top: lineOf('top'),
		bottom: lineOf('bottom')
	});
}

/** Which of the things in the picture is the card, and which the card of known size. */
function pickCard(
	boxes: readonly Box[],
	scale: ScaleSource
): { readonly card: Box; readonly reference: Box | null } | { readonly reason: string } {
	const [first, second] = boxes;
	if (!first) return { reason: 'there is nothing in the picture' };
	if (scale?.by !== 'id-1') return { card: first, reference: null };
	if (!second) return { reason: 'there is no second card beside it to take the scale from' };
	const shape = ({ left, right, top, bottom }: Box) => {
		const [a, b] = [right - left, bottom - top];
		return Math.max(a, b) / Math.min(a, b);
	};
	const off = (box: Box) => Math.abs(shape(box) - ID_1.widthMm / ID_1.heightMm);
	return off(first) < off(second)
		? { card: second, reference: first }
		: { card: first, reference: second };
}

function scaleOf(card: Quad, reference: Quad | null, scale: ScaleSource): number | null {
	if (scale === null) return null;
	if (scale.by === 'resolution') return scale.pxPerMm;
	const { topPx, bottomPx, leftPx, rightPx } = shapeOf(reference ?? card);
	const [width, height] = [(topPx + bottomPx) / 2, (leftPx + rightPx) / 2];
	if (scale.by === 'width') return width / scale.widthMm;
	if (!reference) return null;
	const [long, short] = [Math.max(width, height), Math.min(width, height)];
	return (long / ID_1.widthMm + short / ID_1.heightMm) / 2;
}

function sizeOf(outer: Quad, pxPerMm: number): CardSize {
	const { topPx, bottomPx, leftPx, rightPx, offSquareDeg } = shapeOf(outer);
	return {
		widthMm: (topPx + bottomPx) / 2 / pxPerMm,
		heightMm: (leftPx + rightPx) / 2 / pxPerMm,
		widthDifferenceMm: Math.abs(topPx - bottomPx) / pxPerMm,
		heightDifferenceMm: Math.abs(leftPx - rightPx) / pxPerMm,
		offSquareDeg: Math.max(...offSquareDeg.map(Math.abs))
	};
}

function isSlanted(outer: Quad): boolean {
	const { topPx, bottomPx, leftPx, rightPx } = shapeOf(outer);
	const differs = (a: number, b: number) => Math.abs(a - b) / Math.max(a, b) > SLANT_PART;
	return differs(topPx, bottomPx) || differs(leftPx, rightPx);
}

function nothing(reasons: readonly string[]): MeasuredCard {
	return {
		...{ confidence: 0, reasons, outer: null, inner: null },
		...{ turnDeg: null, centring: null, size: null }
	};
}
