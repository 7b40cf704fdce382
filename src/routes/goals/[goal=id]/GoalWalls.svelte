<script lang="ts">
	import type { Release } from '$lib/core/checklist/release';
	import type { Holdings, Wanted } from '$lib/core/goal/wall';
	import ReleaseWalls from '$lib/ui/number-wall/ReleaseWalls.svelte';

	interface Props {
		release: Release;
		/** Finishes that the goal asks for, in order. */
		finishes: readonly (string | null)[];
		/** Whether its name is said: where a goal goes over several. */
		isNamed: boolean;
		holdings: Holdings;
		/** Whether only the cards asked for are shown: where they are few. */
		onlyNeeded: boolean;
		change: (wanted: readonly Wanted[]) => void;
	}
	let { release, finishes, isNamed, holdings, onlyNeeded, change }: Props = $props();
	let chosen = $state<string | null | undefined>(undefined);
	const finish = $derived(chosen === undefined ? (finishes[0] ?? null) : chosen);
	const nameOf = (key: string | null) =>
		key === null
			? 'Base finish'
			: (release.parallels.find((parallel) => parallel.key === key)?.name ?? key);
</script>

<div class="mb-4 flex flex-wrap items-center justify-between gap-3">
	<h2>{isNamed ? release.name : 'Number wall'}</h2>
	{#if finishes.length > 1}
		<label class="flex items-center gap-2"
			><span class="text-sm quiet">Finish</span>
			<select
				class="select select-sm"
				value={finish ?? ''}
				onchange={(event) => (chosen = event.currentTarget.value || null)}
			>
				{#each finishes as key (key)}<option value={key ?? ''}>{nameOf(key)}</option>{/each}
			</select></label
		>
	{:else}<span class="quiet">{nameOf(finish)}</span>{/if}
</div>
<ReleaseWalls {release} {holdings} parallelKey={finish} {onlyNeeded} {change} />
