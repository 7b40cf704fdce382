/** A word of the trade, and what it means. */
export interface TradeWord {
	readonly word: string;
	readonly means: string;
}

const RELEASE: readonly TradeWord[] = [
	{ word: 'release', means: 'one product of one maker in one year or season' },
	{ word: 'base set', means: 'the common numbered cards that everybody starts with' },
	{ word: 'subset', means: 'a themed run inside the base numbering, often harder to pull' },
	{
		word: 'insert set',
		means: 'a separate checklist slipped into packs at stated odds, with its own numbering or none'
	},
	{ word: 'series', means: 'a part of a release sold at another time; the numbering runs on' },
	{
		word: 'parallel',
		means: 'the same card in another finish, colour, stock or die cut; often numbered: 48/75'
	},
	{
		word: 'SP, short print',
		means: 'printed far less than its neighbours, usually without a mark on the card'
	},
	{ word: 'variation', means: 'the same number, another card: another photo, line colour, gloss' },
	{
		word: 'error, corrected, uncorrected',
		means: 'a fault; its mended printing; a fault never mended, so that one version exists'
	},
	{ word: 'rookie card', means: 'a subject’s first card; usually a key card' },
	{
		word: 'checklist card',
		means: 'the card that lists the set; often without stickers, extras and promos'
	}
];

const GOAL: readonly TradeWord[] = [
	{ word: 'complete', means: 'the base set with its subsets and short prints' },
	{
		word: 'master',
		means: 'all inserts besides; the strict school adds parallels, variations, errors and promos'
	},
	{ word: 'rainbow', means: 'every parallel of one card' },
	{ word: 'parallel run', means: 'one parallel for all cards' },
	{ word: 'slot', means: 'one thing to own: any of the versions that may fill it' },
	{ word: 'upgrade', means: 'a slot filled by a copy below the condition it asks for' }
];

const LOG: readonly TradeWord[] = [
	{ word: 'pile', means: 'a stack that is gone through, of any releases' },
	{ word: 'spare', means: 'a copy that no slot of a goal takes' },
	{ word: 'serial', means: 'which of a numbered run it is: 48/75' },
	{ word: 'relic, swatch', means: 'a piece of cloth or wood set into a card' }
];

const TELL: readonly TradeWord[] = [
	{ word: 'tell', means: 'what shows which printing a card is, and where to look for it' },
	{ word: 'sister issue', means: 'another release with the same pictures' }
];

const HOUSE: readonly TradeWord[] = [
	{ word: 'run', means: 'one section in one finish: what a set is on a shelf' },
	{ word: 'stray', means: 'a lone card that stands behind the divider of its year' },
	{ word: 'divider', means: 'a labelled card in front of what stands behind it' },
	{ word: 'pt', means: 'a thousandth of an inch: how thick a card or a holder is' },
	{ word: 'top loader', means: 'a rigid sleeve, made for a thickness of card' },
	{ word: 'tray', means: 'what waits to be sorted or logged' }
];

const BUYING: readonly TradeWord[] = [
	{ word: 'want', means: 'a slot that is empty, or filled by less than it asks for' },
	{ word: 'common', means: 'a card that costs next to nothing by itself' },
	{ word: 'hub', means: 'collects what many sellers send, and forwards it in one parcel' },
	{ word: 'walk-away price', means: 'the most it is worth, given the best other way to get it' }
];

const PACKS: readonly TradeWord[] = [
	{ word: 'odds', means: '1:24 is one in twenty-four packs, on average' },
	{
		word: 'hobby, retail',
		means: 'packs for dealers, and for shops: with other odds, other parallels'
	},
	{ word: 'sealed', means: 'a pack, box or case that nobody opened' }
];

const WORTH: readonly TradeWord[] = [
	{ word: 'grade', means: '1 to 10 in halves by a grading house, or authentic without a number' },
	{ word: 'population', means: 'how many copies of a card a house has graded, by grade' },
	{ word: 'raw', means: 'not graded' },
	{ word: 'key card', means: 'one of the few that make most of a set’s worth' }
];

const SELLING: readonly TradeWord[] = [
	{ word: 'lot', means: 'cards that are sold together for one sum' },
	{ word: 'listing', means: 'copies that are offered for sale' },
	{ word: 'centring', means: 'how evenly the borders lie: left to right, top to bottom' }
];

const BY_PART: readonly (readonly [start: string, words: readonly TradeWord[]])[] = [
	['/releases', RELEASE],
	['/goals', [...GOAL, ...RELEASE]],
	['/log', [...LOG, ...RELEASE]],
	['/tell-apart', [...TELL, ...RELEASE]],
	['/binders', [...HOUSE, ...GOAL]],
	['/boxes', HOUSE],
	['/buying', [...BUYING, ...GOAL, ...WORTH]],
	['/packs', [...PACKS, ...RELEASE]],
	['/worth', [...WORTH, ...RELEASE]],
	['/selling', [...SELLING, ...WORTH]],
	['/bench', [...SELLING, ...WORTH]]
];

/** The words that a view uses; of those that are no one's, the words of a release and a goal. */
export const wordsOf = (pathname: string): readonly TradeWord[] =>
	BY_PART.find(([start]) => pathname === start || pathname.startsWith(`${start}/`))?.[1] ?? [
		...RELEASE,
		...GOAL
	];
