import {
	centringOfGuides,
	outlineOfGuides,
	type ScaleSource
} from '$lib/core/measuring/centring/measure-centring';
import type { PictureKind } from '$lib/core/measuring/centring/centring-of-quads';
import type { Quad } from '$lib/core/measuring/centring/quad';
import type { SampleScan } from '$lib/core/measuring/centring/sample-scans';
import { judgeSize, USUAL_SIZE_TOLERANCE } from '$lib/core/measuring/hand-cut';
import { moveGuide, usualGuides, type Guide } from '$lib/core/measuring/centring/guides';

/** A picture on the bench, in the size in which it is measured. */
interface BenchPicture {
	readonly url: string;
	readonly file: Blob;
	readonly name: string;
	readonly widthPx: number;
	readonly heightPx: number;
	/** What a drawn scan should measure; null: nobody knows. */
	readonly truth: SampleScan['truth'];
}

/** What the compute API says of a picture. */
interface Found {
	readonly confidence: number;
	readonly reasons: readonly string[];
	readonly outer: Quad | null;
	readonly inner: Quad | null;
	readonly leftRight: { readonly percent: number; readonly offBy: number } | null;
	readonly topBottom: { readonly percent: number; readonly offBy: number } | null;
	readonly size: ReturnType<typeof outlineOfGuides>['size'];
	readonly turnDeg: number | null;
}

/** Pictures are measured no larger: a pixel is then finer than a card can be cut. */
const LONGEST_SIDE = 2400;
/** How exactly a guide is laid by hand, in pixels of the picture on the screen. An assumption of ours. */
const GUIDE_ERROR_PX = 1;

/** How the scale is known: the card's own width, an ID-1 card beside it, the resolution of the scan; or not. */
export interface ScaleChoice {
	readonly by: 'none' | 'width' | 'id-1' | 'dpi';
	readonly widthMm: number;
	readonly dpi: number;
}

/** A picture that is measured: what was found in it, and the guides that may be moved by hand. */
export function createScanBook(stated: () => { widthMm: number; heightMm: number }) {
	let picture = $state.raw<BenchPicture | null>(null);
	let found = $state.raw<Found | null>(null);
	let guides = $state.raw<{ readonly outer: Quad; readonly inner: Quad } | null>(null);
	/** Guides were moved by hand: the centring is theirs, not the program's. */
	let isByHand = $state(false);
	let isBusy = $state(false);
	let problem = $state('');
	let kind = $state<PictureKind>('scan');
	let scale = $state.raw<ScaleChoice>({ by: 'none', widthMm: 63.5, dpi: 600 });
	let work: AbortController | null = null;

	const scaleSource = $derived.by((): ScaleSource => {
		if (scale.by === 'width') return { by: 'width', widthMm: scale.widthMm };
		if (scale.by === 'dpi') return { by: 'resolution', pxPerMm: scale.dpi / 25.4 };
		return null;
	});
	/** By the guides where they were moved, else as it was found. */
	const centring = $derived.by(() => {
		if (isByHand && guides && picture) {
			const error = GUIDE_ERROR_PX * Math.max(1, picture.widthPx / 700);
			const { leftRight, topBottom } = centringOfGuides(guides.outer, guides.inner, kind, error);
			return { leftRight, topBottom };
		}
		return found?.leftRight && found.topBottom
			? { leftRight: found.leftRight, topBottom: found.topBottom }
			: null;
	});
	const size = $derived(
		isByHand && guides && scale.by !== 'id-1'
			? outlineOfGuides(guides.outer, scaleSource).size
			: (found?.size ?? null)
	);
	const cut = $derived(size ? judgeSize(size, { ...USUAL_SIZE_TOLERANCE, ...stated() }) : null);

	function show(next: BenchPicture) {
		if (picture) URL.revokeObjectURL(picture.url);
		picture = next;
		found = null;
		guides = null;
		isByHand = false;
		void measure();
	}

	async function take(file: Blob, name: string, truth: SampleScan['truth'] = null) {
		problem = '';
		try {
			// As it stands upright, in the size in which it is measured: places in it are then the same everywhere.
			const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
			const shrink = Math.min(1, LONGEST_SIDE / Math.max(bitmap.width, bitmap.height));
			const canvas = document.createElement('canvas');
			canvas.width = Math.max(1, Math.round(bitmap.width * shrink));
			canvas.height = Math.max(1, Math.round(bitmap.height * shrink));
			canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
			bitmap.close();
			const blob = await blobOf(canvas);
			const { width: widthPx, height: heightPx } = canvas;
			show({ url: URL.createObjectURL(blob), file: blob, name, widthPx, heightPx, truth });
		} catch {
			problem = 'This is no picture that can be read. Choose a PNG, JPEG or WebP.';
		}
	}

	async function draw({ key, name, truth, hasId1 }: SampleScan) {
		scale = { ...scale, by: hasId1 ? 'id-1' : 'none' };
		try {
			const answer = await fetch(`/api/bench/samples/${key}`);
			await take(await answer.blob(), name, truth);
		} catch {
			problem = 'The program does not answer. Try again.';
		}
	}

	async function measure() {
		if (!picture) return;
		work?.abort();
		const mine = new AbortController();
		work = mine;
		isBusy = true;
		try {
			const body = {
				file: await base64Of(picture.file),
				kind,
				...(scale.by === 'width' ? { widthMm: scale.widthMm } : {}),
				...(scale.by === 'dpi' ? { pxPerMm: scale.dpi / 25.4 } : {}),
				...(scale.by === 'id-1' ? { hasId1: true } : {})
			};
			const answer = await fetch('/api/compute/centring', {
				method: 'POST',
				headers: { 'content-type': 'application/json' },
				body: JSON.stringify(body),
				signal: mine.signal
			});
			const said = (await answer.json()) as Found & { readonly detail?: string };
			if (mine.signal.aborted) return;
			if (!answer.ok) {
				problem = said.detail ?? 'It could not be measured.';
				return;
			}
			found = said;
			isByHand = false;
			guides = guidesOf(said, picture);
		} catch {
			if (!mine.signal.aborted) problem = 'The program does not answer. Try again.';
		} finally {
			if (work === mine) isBusy = false;
		}
	}

	return {
		get picture() {
			return picture;
		},
		get found() {
			return found;
		},
		get guides() {
			return guides;
		},
		get isByHand() {
			return isByHand;
		},
		get isBusy() {
			return isBusy;
		},
		get problem() {
			return problem;
		},
		get centring() {
			return centring;
		},
		get size() {
			return size;
		},
		get cut() {
			return cut;
		},
		get kind() {
			return kind;
		},
		get scale() {
			return scale;
		},
		take,
		draw,
		measure,
		cancel() {
			work?.abort();
			isBusy = false;
		},
		setKind(next: PictureKind) {
			kind = next;
			void measure();
		},
		setScale(next: ScaleChoice) {
			scale = next;
			void measure();
		},
		/** Moves a guide by so many pixels of the picture. */
		move(guide: Guide, byX: number, byY: number) {
			if (!guides || !picture) return;
			guides = moveGuide(guides, guide, { x: byX, y: byY }, picture);
			isByHand = true;
		},
		/** Lays the guides as they were found. */
		reset() {
			if (!picture || !found) return;
			guides = guidesOf(found, picture);
			isByHand = false;
		}
	};
}
export type ScanBook = ReturnType<typeof createScanBook>;

function guidesOf({ outer, inner }: Pick<Found, 'outer' | 'inner'>, picture: BenchPicture) {
	const usual = usualGuides(picture);
	const edge = outer ?? usual.outer;
	return { outer: edge, inner: inner ?? (outer ? usualGuides(picture, outer).inner : usual.inner) };
}

function blobOf(canvas: HTMLCanvasElement): Promise<Blob> {
	return new Promise((done, fail) =>
		canvas.toBlob(
			(blob) => (blob ? done(blob) : fail(new RangeError('blobOf: no picture'))),
			'image/jpeg',
			0.95
		)
	);
}

async function base64Of(blob: Blob): Promise<string> {
	const bytes = new Uint8Array(await blob.arrayBuffer());
	let text = '';
	for (let i = 0; i < bytes.length; i += 8192) {
		text += String.fromCharCode(...bytes.subarray(i, i + 8192));
	}
	return btoa(text);
}
