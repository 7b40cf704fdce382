const RELEASE = {
	release: 'one product of one maker in one year or season',
	'base set': 'the common numbered cards that everybody starts with',
	subset: 'a themed run inside the base numbering, often harder to pull',
	'insert set':
		'a separate checklist slipped into packs at stated odds, with its own numbering or none',
	series: 'a part of a release sold at another time; the numbering runs on',
	parallel: 'the same card in another finish, colour, stock or die cut; often numbered: 48/75',
	'SP, short print': 'printed far less than its neighbours, usually without a mark on the card',
	variation: 'the same number, another card: another photo, line colour, gloss',
	'error, corrected, uncorrected':
		'a fault; its mended printing; a fault never mended, so that one version exists',
	'rookie card': 'a subject’s first card; usually a key card',
	'checklist card': 'the card that lists the set; often without stickers, extras and promos'
} as const;

const GOAL = {
	complete: 'the base set with its subsets and short prints',
	master: 'all inserts besides; the strict school adds parallels, variations, errors and promos',
	rainbow: 'every parallel of one card',
	'parallel run': 'one parallel for all cards',
	slot: 'one thing to own: any of the versions that may fill it',
	upgrade: 'a slot filled by a copy below the condition it asks for'
} as const;

const LOG = {
	pile: 'a stack that is gone through, of any releases',
	spare: 'a copy that no slot of a goal takes',
	serial: 'which of a numbered run it is: 48/75',
	'relic, swatch': 'a piece of cloth or wood set into a card'
} as const;

const TELL = {
	tell: 'what shows which printing a card is, and where to look for it',
	'sister issue': 'another release with the same pictures'
} as const;

const HOUSE = {
	run: 'one section in one finish: what a set is on a shelf',
	stray: 'a lone card that stands behind the divider of its year',
	divider: 'a labelled card in front of what stands behind it',
	pt: 'a thousandth of an inch: how thick a card or a holder is',
	'top loader': 'a rigid sleeve, made for a thickness of card',
	tray: 'what waits to be sorted or logged'
} as const;

const BUYING = {
	want: 'a slot that is empty, or filled by less than it asks for',
	common: 'a card that costs next to nothing by itself',
	hub: 'collects what many sellers send, and forwards it in one parcel',
	'walk-away price': 'the most it is worth, given the best other way to get it'
} as const;

const PACKS = {
	odds: '1:24 is one in twenty-four packs, on average',
	'hobby, retail': 'packs for dealers, and for shops: with other odds, other parallels',
	sealed: 'a pack, box or case that nobody opened'
} as const;

const WORTH = {
	grade: '1 to 10 in halves by a grading house, or authentic without a number',
	population: 'how many copies of a card a house has graded, by grade',
	raw: 'not graded',
	'key card': 'one of the few that make most of a set’s worth'
} as const;

const SELLING = {
	lot: 'cards that are sold together for one sum',
	listing: 'copies that are offered for sale',
	centring: 'how evenly the borders lie: left to right, top to bottom'
} as const;

type Meanings = Readonly<Record<string, string>>;

const BY_PART: readonly (readonly [start: string, words: Meanings])[] = [
	['/releases', RELEASE],
	['/goals', { ...GOAL, ...RELEASE }],
	['/log', { ...LOG, ...RELEASE }],
	['/tell-apart', { ...TELL, ...RELEASE }],
	['/binders', { ...HOUSE, ...GOAL }],
	['/boxes', HOUSE],
	['/buying', { ...BUYING, ...GOAL, ...WORTH }],
	['/packs', { ...PACKS, ...RELEASE }],
	['/worth', { ...WORTH, ...RELEASE }],
	['/selling', { ...SELLING, ...WORTH }],
	['/bench', { ...SELLING, ...WORTH }]
];

/** Every word that is explained. */
const WORDS = {
	...RELEASE,
	...GOAL,
	...LOG,
	...TELL,
	...HOUSE,
	...BUYING,
	...PACKS,
	...WORTH,
	...SELLING
} as const;

/** A word of the trade that is explained. */
export type TradeWord = keyof typeof WORDS;

export const meaningOf = (word: TradeWord): string => WORDS[word];

/** The words that a view uses, with what they mean; of those that are no one's, the words of a release and a goal. */
export const wordsOf = (pathname: string): readonly (readonly [word: string, means: string])[] =>
	Object.entries(
		BY_PART.find(([start]) => pathname === start || pathname.startsWith(`${start}/`))?.[1] ?? {
			...RELEASE,
			...GOAL
		}
	);
