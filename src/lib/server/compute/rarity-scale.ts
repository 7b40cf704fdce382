import { countByKnowledge, rarityScale } from '../../core/checklist/rarity/rarity-scale.ts';
import { good } from '../../core/problem.ts';
import {
	RarityScaleInput,
	RarityScaleOutput,
	type RarityScaleRequest
} from '../../schemas/compute-rarity.ts';
import { defineComputation } from './define-computation.ts';
import { resolveChecklist } from './resolve-checklist.ts';

export const rarityScaleComputation = defineComputation({
	name: 'rarity-scale',
	summary:
		'How rare the sections and finishes of a release are, on one scale of runs, odds, estimates and experience.',
	input: RarityScaleInput,
	output: RarityScaleOutput,
	run({ checklist }: RarityScaleRequest) {
		const release = resolveChecklist(checklist);
		if (!release.ok) return release;
		const scale = rarityScale(release.value);
		return good({ ...scale, byKnowledge: countByKnowledge(scale) });
	}
});
