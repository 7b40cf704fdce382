import { bad, good } from '../../core/problem.ts';
import { indexCards } from '../../core/shorthand/card-index.ts';
import { readShorthand } from '../../core/shorthand/read-shorthand.ts';
import { normalPhrase, vocabularyOf } from '../../core/shorthand/vocabulary.ts';
import {
	ShorthandInput,
	ShorthandOutput,
	type ShorthandRequest
} from '../../schemas/compute-shorthand.ts';
import { resolveChecklist } from './resolve-checklist.ts';
import { defineComputation } from './define-computation.ts';

export const readShorthandComputation = defineComputation({
	name: 'read-shorthand',
	summary:
		'Reads an entry line against a checklist: what it would change, and what is not understood.',
	input: ShorthandInput,
	output: ShorthandOutput,
	run({
		checklist,
		line,
		numbering = null,
		parallel = null,
		condition,
		owned = {},
		synonyms = {}
	}: ShorthandRequest) {
		const release = resolveChecklist(checklist);
		if (!release.ok) return release;
		const { sections, parallels } = release.value;
		if (numbering !== null && !sections.some(({ key }) => key === numbering)) {
			return bad([{ pointer: '/numbering', message: `no section has the key "${numbering}"` }]);
		}
		if (parallel !== null && !parallels.some(({ key }) => key === parallel)) {
			return bad([{ pointer: '/parallel', message: `no parallel has the key "${parallel}"` }]);
		}
		return good(
			readShorthand(line, {
				release: release.value,
				index: indexCards(release.value),
				vocabulary: vocabularyOf(release.value),
				condition,
				synonyms: new Map(
					Object.entries(synonyms).map(([word, means]) => [normalPhrase(word), means])
				),
				numberingKey: numbering,
				parallelKey: parallel,
				owned: new Map(Object.entries(owned))
			})
		);
	}
});
