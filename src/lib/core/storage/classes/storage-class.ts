import type { CardMark } from '../../checklist/card.ts';
import type { SectionKind } from '../../checklist/section.ts';
import type { CopyStatus } from '../../copies/copy-record.ts';
import { convertMinor, type ExchangeRate } from '../../money/exchange-rates.ts';
import { formatMinor } from '../../money/minor-units.ts';

/** What of a copy and its card decides where it is kept. What is left out is not known, or is not so. */
export interface KeptCard {
	/** Key of its release. */
	readonly release?: string;
	readonly maker?: string;
	/** "1994" or "1994-95" */
	readonly year?: string;
	readonly sectionKind?: SectionKind;
	readonly subjects?: readonly string[];
	readonly group?: string;
	readonly tags?: Readonly<Record<string, readonly string[]>>;
	readonly marks?: readonly CardMark[];
	/** Name of its parallel; left out: the base finish. */
	readonly finish?: string;
	readonly isVariant?: boolean;
	/** A serial number is stamped on it. */
	readonly isNumbered?: boolean;
	readonly isGraded?: boolean;
	readonly status?: CopyStatus;
	readonly attributes?: readonly string[];
	/** In minor units of the currency. */
	readonly valueMinor?: number;
	/** ISO 4217 */
	readonly currency?: string;
}

/** What a rule asks for: all of it has to hold; of a list, one of its words. Nothing asked: every card. */
export interface ClassTest {
	readonly releases?: readonly string[];
	readonly makers?: readonly string[];
	/** First and last year of an era; a season counts by the year in which it begins. */
	readonly fromYear?: number;
	readonly toYear?: number;
	readonly sectionKinds?: readonly SectionKind[];
	readonly subjects?: readonly string[];
	readonly groups?: readonly string[];
	/** Family → words. */
	readonly tags?: Readonly<Record<string, readonly string[]>>;
	readonly marks?: readonly CardMark[];
	/** Names of finishes; "any parallel" is every one but the base finish. */
	readonly finishes?: readonly string[];
	readonly isVariant?: boolean;
	readonly isNumbered?: boolean;
	readonly isGraded?: boolean;
	readonly statuses?: readonly CopyStatus[];
	readonly attributes?: readonly string[];
	/** Worth so much or more, in minor units of the currency. */
	readonly leastValueMinor?: number;
	/** ISO 4217 */
	readonly currency?: string;
}

/** A storage class: where copies of a kind are kept, and by which rule. */
export interface ClassRule {
	/** "Ada Hale", "to sell", "valuables" */
	readonly name: string;
	readonly where: ClassTest;
}

/** Where a copy is kept, and why. */
export interface KeptIn {
	/** Name of the class; null: no rule holds, it stays with its set. */
	readonly name: string | null;
	/** Place of the rule in the list, from 0; null: none. */
	readonly rule: number | null;
	/** "its subject is Ada Hale, it is worth 20.00 EUR or more" */
	readonly why: string;
	/** Rules passed over because its value is in other money than theirs, by place. */
	readonly undecided: readonly number[];
}

/** All finishes but the base one. */
export const ANY_PARALLEL = 'any parallel';

/**
 * The class of a copy: that of the first rule all of whose tests hold. Values in other money are converted by
 * the kept rates, and never compared as they are: where no rate leads there, the rule is passed over and named.
 */
export function storageClass(
	card: KeptCard,
	rules: readonly ClassRule[],
	rates: readonly ExchangeRate[] = []
): KeptIn {
	return classChooser(rules, rates)(card);
}

/** The same for many copies: which tests a rule asks for is looked up once. */
export function classChooser(
	rules: readonly ClassRule[],
	rates: readonly ExchangeRate[] = []
): (card: KeptCard) => KeptIn {
	const asked = rules.map(({ name, where }, rule) => ({
		...{ name, where, rule },
		tests: TESTS.filter((test) => test({}, where, rates) !== null)
	}));
	return (card) => {
		const undecided: number[] = [];
		for (const { name, where, rule, tests } of asked) {
			const answers = firstAnswers(card, where, rates, tests);
			if (answers === null) continue;
			if (answers.some(({ holds }) => holds === 'other money')) {
				undecided.push(rule);
				continue;
			}
			const why = answers.map((answer) => answer.why).join(', ') || 'it is for every card';
			return { name, rule, why, undecided };
		}
		return { name: null, rule: null, why: 'no rule holds: it stays with its set', undecided };
	};
}

/** What each test says; null as soon as one does not hold. */
function firstAnswers(
	card: KeptCard,
	where: ClassTest,
	rates: readonly ExchangeRate[],
	tests: readonly Test[]
): readonly TestAnswer[] | null {
	const answers: TestAnswer[] = [];
	for (const test of tests) {
		const answer = test(card, where, rates);
		if (answer?.holds === false) return null;
		if (answer) answers.push(answer);
	}
	return answers;
}

interface TestAnswer {
	readonly holds: boolean | 'other money';
	readonly why: string;
}
/** Null: the rule does not ask for it. */
type Test = (card: KeptCard, where: ClassTest, rates: readonly ExchangeRate[]) => TestAnswer | null;

const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

/** One of the words is among those of the card. */
function among(
	words: readonly string[] | undefined,
	has: readonly string[],
	told: (word: string) => string
): TestAnswer | null {
	if (!words) return null;
	const word = words.find((wanted) => has.some((each) => same(each, wanted)));
	return { holds: word !== undefined, why: told(word ?? '') };
}

function flag(
	wanted: boolean | undefined,
	has: boolean | undefined,
	yes: string,
	no: string
): TestAnswer | null {
	if (wanted === undefined) return null;
	return { holds: wanted === (has ?? false), why: wanted ? yes : no };
}

const listOf = (word: string | undefined) => (word === undefined ? [] : [word]);

/** A test each, in the order in which they are told. */
const TESTS: readonly Test[] = [
	(card, { subjects }) => among(subjects, card.subjects ?? [], (word) => `its subject is ${word}`),
	(card, { groups }) => among(groups, listOf(card.group), (word) => `its group is ${word}`),
	({ tags = {} }, { tags: wanted }) => {
		if (!wanted) return null;
		const found = Object.entries(wanted).map(([family, words]) => ({
			family,
			word: words.find((each) =>
				(Object.hasOwn(tags, family) ? (tags[family] ?? []) : []).some((has) => same(has, each))
			)
		}));
		return {
			holds: found.every(({ word }) => word !== undefined),
			why: found.map(({ family, word }) => `its ${family} is ${word ?? ''}`).join(', ')
		};
	},
	(card, { releases }) => among(releases, listOf(card.release), (word) => `it is of ${word}`),
	(card, { makers }) => among(makers, listOf(card.maker), (word) => `it was made by ${word}`),
	({ year }, { fromYear, toYear }) => {
		if (fromYear === undefined && toYear === undefined) return null;
		const begun = year === undefined ? NaN : Number.parseInt(year, 10);
		const isIn = begun >= (fromYear ?? -Infinity) && begun <= (toYear ?? Infinity);
		const era =
			fromYear === undefined
				? `to ${toYear ?? ''}`
				: toYear === undefined
					? `from ${fromYear} on`
					: `from ${fromYear} to ${toYear}`;
		return { holds: isIn, why: `it is ${era}` };
	},
	(card, { sectionKinds }) =>
		among(
			sectionKinds,
			listOf(card.sectionKind),
			(word) => `it is of a section of the kind ${word}`
		),
	(card, { marks }) => among(marks, card.marks ?? [], (word) => `it is marked ${word}`),
	({ finish }, { finishes }) =>
		among(
			finishes,
			finish === undefined ? [] : [finish, ANY_PARALLEL],
			() => `its finish is ${finish ?? ''}`
		),
	(card, { isVariant }) =>
		flag(isVariant, card.isVariant, 'it is a variant', 'it is the regular card'),
	(card, { isNumbered }) =>
		flag(isNumbered, card.isNumbered, 'it bears a serial number', 'it bears no serial number'),
	(card, { isGraded }) => flag(isGraded, card.isGraded, 'it is graded', 'it is not graded'),
	(card, { statuses }) => among(statuses, listOf(card.status), (word) => `it is ${word}`),
	(card, { attributes }) =>
		among(attributes, card.attributes ?? [], (word) => `it is marked ${word}`),
	({ valueMinor, currency }, { leastValueMinor, currency: money }, rates) => {
		if (leastValueMinor === undefined) return null;
		const why = money
			? `it is worth ${formatMinor(leastValueMinor, money)} ${money} or more`
			: `it is worth ${leastValueMinor} or more in minor units`;
		if (valueMinor === undefined) return { holds: false, why };
		// What names no money is in the other's.
		const worth =
			money === undefined || currency === undefined
				? valueMinor
				: convertMinor(valueMinor, currency.toUpperCase(), money.toUpperCase(), rates);
		return { holds: worth === null ? 'other money' : worth >= leastValueMinor, why };
	}
];
