import { bad, good, type Outcome } from '../../problem.ts';
import { checkCorrections } from '../draft/check-corrections.ts';
import { checkRules } from '../draft/check-rules.ts';
import type { Release } from '../release.ts';
import { freeKey, slug } from '../slug.ts';
import type { VariantDraft } from '../draft/draft.ts';
import { variantsOfLine } from './finishes-of-lines.ts';
import { parseOutline } from './parse-outline.ts';

/**
 * Records a variant by one line of an outline: "27: home town, two printings", "image variation
 * 40-42 in Base: dusk". All problems come at once, with their place in the line.
 */
export function addVariantLine(release: Release, text: string): Outcome<Release> {
	const { lines, problems } = parseOutline(text);
	if (problems.length > 0) return bad(problems);
	const wanted: VariantDraft[] = [];
	for (const line of lines) {
		if (line.kind === 'tell' && line !== lines[0]) continue;
		if (line.kind !== 'variant') {
			return bad([
				{
					message: 'this line records no variant',
					remedy: 'Write the card, a colon and what it is: 27: home town, two printings'
				}
			]);
		}
		const named = line.section;
		const section = release.sections.find(({ name }) => slug(name) === slug(named ?? ''));
		if (named !== undefined && !section) {
			const known = release.sections.map(({ name }) => name).join(', ');
			return bad([
				{ message: `there is no section "${named}"`, remedy: `Sections here: ${known}.` }
			]);
		}
		wanted.push(...variantsOfLine(line, lines, () => section?.key ?? ''));
	}
	if (wanted.length === 0) {
		return bad([{ message: 'the line is empty', remedy: 'Write: 27: home town, two printings' }]);
	}
	const taken = new Set(release.variants.map(({ key }) => key));
	const variants = wanted.map(({ odds: _, finishes: __, ...variant }) => ({
		...variant,
		key: freeKey(slug(variant.name), taken)
	}));
	const edited = { ...release, variants: [...release.variants, ...variants] };
	const misfits = [...checkRules(edited), ...checkCorrections(release, edited)];
	return misfits.length > 0 ? bad(misfits) : good(edited);
}
