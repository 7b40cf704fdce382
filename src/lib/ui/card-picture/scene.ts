/** What a card's picture shows; drawn by code from the card's key, so that it always looks the same. */
export interface Scene {
	readonly motif: Motif;
	readonly sky: string;
	readonly far: string;
	readonly sea: string;
	readonly ink: string;
	readonly light: string;
	/** 0 to 1, for the place of sun, rocks, clouds. */
	readonly chances: readonly number[];
	readonly frame: string;
}

export type Motif = 'tower' | 'keeper' | 'ferry' | 'storm' | 'dog' | 'moth' | 'harbour';

/** Sky, far land, sea, ink, light. */
const PALETTES = [
	['#f3d9b1', '#c7a58a', '#4f7f86', '#27363c', '#fff4d8'],
	['#bcd8dc', '#86aab0', '#2f6670', '#1d3238', '#fdf3cf'],
	['#e9b99c', '#a9736a', '#4b5f7d', '#2a2d43', '#ffe9b8'],
	['#27394f', '#1c2a3b', '#162635', '#0d151e', '#ffe08a'],
	['#d9e0c8', '#9db197', '#55806f', '#26382f', '#fffbe3'],
	['#f0c98a', '#c48f5e', '#6d6f68', '#3a302a', '#fff0c4'],
	['#93a7c4', '#667b9b', '#33496b', '#1a2438', '#f7e7b5'],
	['#efe3d0', '#cbb79d', '#7f9a94', '#3b4643', '#fffaf0']
] as const;

/** The plain frame first, then those of parallels. */
const FRAMES = ['#fdfaf2', '#b98a2e', '#4e9b82', '#8d2f3c', '#39538f', '#5d5a6b'] as const;

const WORDS: readonly (readonly [RegExp, Motif])[] = [
	[/keeper|ferryman|pilot|helmsman/i, 'keeper'],
	[/ferr|boat|ship|mast|oar/i, 'ferry'],
	[/light|lamp|beacon|tower|lantern/i, 'tower'],
	[/storm|gale|squall|tide|surge|wreck/i, 'storm'],
	[/dog/i, 'dog'],
	[/moth/i, 'moth']
];

/** Draws lots for a card: `seed` is its key, `group` and `title` choose the motif where they can. */
export function sceneOf(seed: string, title: string, group: string, finish: string | null): Scene {
	const chances = lots(seed, 8);
	const named = [group, title].flatMap((text) => {
		const found = WORDS.find(([word]) => word.test(text));
		return found ? [found[1]] : [];
	});
	const palette = PALETTES[Math.floor((chances[0] ?? 0) * PALETTES.length)] ?? PALETTES[0];
	const [sky, far, sea, ink, light] = palette;
	const frame =
		finish === null ? 0 : 1 + Math.floor((lots(finish, 1)[0] ?? 0) * (FRAMES.length - 1));
	return {
		motif: named[0] ?? ((chances[1] ?? 0) < 0.5 ? 'harbour' : 'moth'),
		sky,
		far,
		sea,
		ink,
		light,
		chances: chances.slice(2),
		frame: FRAMES[frame] ?? FRAMES[0]
	};
}

/** Numbers from 0 to 1 that follow from a text: FNV-1a (from memory), stirred on for each lot. */
function lots(text: string, count: number): number[] {
	let hash = 2166136261;
	const stir = (value: number) => {
		hash = Math.imul(hash ^ value, 16777619) >>> 0;
		hash = Math.imul(hash ^ (hash >>> 15), 2246822519) >>> 0;
	};
	for (const char of text) stir(char.codePointAt(0) ?? 0);
	return Array.from({ length: count }, (_, i) => {
		stir(i + 1);
		return hash / 4294967296;
	});
}
