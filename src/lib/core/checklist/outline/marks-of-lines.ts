import type { Problem } from '../../problem.ts';
import type { CardDraft } from '../draft/draft.ts';
import { normalCardNumber } from '../numbers/card-number.ts';
import type { KeyedSection } from './join-sections.ts';
import { numbersOfRuns } from './numbers-of-runs.ts';
import type { OutlineLine } from './outline.ts';
import type { PlacedLine } from './parse-outline.ts';

type MarkLine = PlacedLine & OutlineLine & { readonly kind: 'mark' | 'tag' };

/** Sections whose cards bear the marks and tags that lines give them. A number of several numberings has to say of which. */
export function withMarks(
	sections: readonly KeyedSection[],
	lines: readonly PlacedLine[],
	keyOf: (name: string, line: number) => string,
	problems: Problem[]
): readonly KeyedSection[] {
	const marks = lines.filter(
		(line): line is MarkLine => line.kind === 'mark' || line.kind === 'tag'
	);
	if (marks.length === 0) return sections;
	const marked = new Map<CardDraft, CardDraft>();
	const byNumber = new Map<
		string,
		{ readonly section: KeyedSection; readonly card: CardDraft }[]
	>();
	for (const section of sections) {
		for (const card of section.cards) {
			if (card.number === undefined || card.number === null) continue;
			const number = normalCardNumber(card.number);
			byNumber.set(number, [...(byNumber.get(number) ?? []), { section, card }]);
		}
	}
	for (const line of marks) {
		const within = line.section === undefined ? null : keyOf(line.section, line.line);
		for (const number of numbersOfRuns(line.runs, line.line, problems)) {
			const found = (byNumber.get(normalCardNumber(number)) ?? []).filter(
				({ section }) => within === null || section.key === within || section.numberedIn === within
			);
			const [only] = found;
			if (only && found.length === 1) {
				marked.set(only.card, withMark(marked.get(only.card) ?? only.card, line));
				continue;
			}
			const names = found.map(({ section }) => section.name);
			problems.push({
				line: line.line,
				message:
					found.length === 0
						? `there is no card ${number}${line.section ? ` in ${line.section}` : ''}`
						: `${number} is in ${names.join(' and in ')}`,
				remedy:
					found.length === 0
						? 'Name cards by numbers that the sections have.'
						: `Say which is meant: in ${names[0] ?? ''}.`
			});
			break;
		}
	}
	return sections.map((section) => ({
		...section,
		cards: section.cards.map((card) => marked.get(card) ?? card)
	}));
}

function withMark(card: CardDraft, line: MarkLine): CardDraft {
	if (line.kind === 'mark') {
		return { ...card, marks: [...new Set([...(card.marks ?? []), line.mark])] };
	}
	const { tags = {} } = card;
	const words = Object.hasOwn(tags, line.family) ? (tags[line.family] ?? []) : [];
	return {
		...card,
		tags: { ...tags, [line.family]: [...new Set([...words, line.word])] }
	};
}
