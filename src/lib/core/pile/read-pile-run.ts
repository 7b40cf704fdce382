import { bad, good, type Outcome } from '../problem.ts';
import { indexCards } from '../shorthand/card-index.ts';
import { readShorthand } from '../shorthand/read-shorthand.ts';
import { normalPhrase } from '../shorthand/vocabulary.ts';
import { afterTaking, judgeMatch, type PileChoice, type PileState } from './judge-pile-card.ts';
import { findInIndex, type PileIndex } from './pile-index.ts';

/** More cards than people take off a pile at once. */
export const MOST_IN_RUN = 500;

/**
 * The cards of a line of many ("1-40", "5 9 13 vg"), each judged after those before it: an entry line, read
 * against the release of the card before, or the release used last. `taken` are the cards that came off the pile so far. With any problem none is
 * taken; "all but" is no line of a pile.
 */
export function readPileRun(
	index: PileIndex,
	line: string,
	state: PileState,
	taken: readonly PileChoice[]
): Outcome<readonly PileChoice[]> {
	const of =
		index.releases.find(({ release }) => release.key === state.before?.release) ??
		index.releases[0];
	if (!of) {
		const remedy = 'Bring a checklist in first.';
		return bad([{ message: 'there is no release to log against', remedy }]);
	}
	const { release, vocabulary } = of;
	const { finish = '' } = state.narrowing ?? {};
	const parallel =
		release.parallels.find(({ name }) => normalPhrase(name) === normalPhrase(finish))?.key ?? null;
	const reading = readShorthand(line, {
		release,
		index: indexCards(release),
		vocabulary,
		...(state.synonyms ? { synonyms: state.synonyms } : {}),
		owned: state.owned,
		numberingKey: null,
		parallelKey: parallel,
		...(state.condition ? { condition: state.condition } : {})
	});
	if (reading.problems.length > 0) return bad(reading.problems);
	if (reading.form !== 'list') {
		const remedy = 'Log it by the entry line.';
		return bad([{ message: '"all but" names what is not on the pile', remedy }]);
	}
	const count = reading.additions.reduce((sum, { quantity }) => sum + quantity, 0);
	if (count > MOST_IN_RUN) {
		const message = `this line names ${count} cards, a pile takes ${MOST_IN_RUN} at once`;
		return bad([{ message, remedy: 'Log it in parts, or by the entry line.' }]);
	}
	const choices: PileChoice[] = [];
	for (const { version, quantity, condition, serial } of reading.additions) {
		const found = findInIndex(index, version);
		if (!found) throw new RangeError(`readPileRun: no version "${version}" on the pile`);
		const said = {
			...found,
			fit: 0,
			...(condition === undefined ? {} : { condition }),
			...(serial === undefined ? {} : { serial })
		};
		for (let i = 0; i < quantity; i++) {
			const before = afterTaking([...taken, ...choices]);
			choices.push(judgeMatch(index, said, { ...state, ...before }));
		}
	}
	return good(choices);
}
