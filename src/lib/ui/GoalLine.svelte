<script lang="ts">
	import { resolve } from '$app/paths';
	import { presetOf, type PresetKey } from '$lib/core/goal/preset';
	import { percentDone, type ProgressRow } from '$lib/core/goal/progress';
	import { formatCount } from './numerals';
	import SectionStrip from './SectionStrip.svelte';

	interface Props {
		goal: {
			readonly id: number;
			readonly name: string;
			readonly releaseName: string;
			readonly rules: { readonly preset: PresetKey };
			readonly rows: readonly ProgressRow[];
			readonly have: number;
			readonly need: number;
		};
	}
	let { goal }: Props = $props();
	const segments = $derived(
		goal.rows.map(({ sectionKey, parallelKey, have, need }) => ({
			name: parallelKey ? `${sectionKey}, ${parallelKey}` : sectionKey,
			have,
			need
		}))
	);
</script>

<a
	href={resolve('/goals/[goal=id]', { goal: String(goal.id) })}
	class="-mx-3 grid gap-x-6 gap-y-2 px-3 py-4 hover:bg-base-200 sm:grid-cols-[10.5rem_1fr] sm:items-center"
>
	<span class="whitespace-nowrap">
		<strong class="font-serif text-4xl font-medium" data-testid="goal-have"
			>{formatCount(goal.have)}</strong
		>
		<span class="text-lg quiet">of {formatCount(goal.need)}</span>
	</span>
	<span class="min-w-0">
		<span class="mb-1.5 flex items-baseline justify-between gap-3">
			<span class="truncate text-lg font-semibold">{goal.name}</span>
			<span class="shrink-0 quiet">{percentDone(goal)} %</span>
		</span>
		<SectionStrip {segments} />
		<span class="mt-1.5 block text-sm quiet"
			>{goal.releaseName} · {presetOf(goal.rules.preset).name.toLowerCase()}</span
		>
	</span>
</a>
