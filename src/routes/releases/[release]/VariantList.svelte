<script lang="ts">
	import { enhance } from '$app/forms';
	import { foldRuns } from '$lib/core/checklist/fold-runs';
	import type { Release } from '$lib/core/checklist/release';
	import type { Problem } from '$lib/core/problem';
	import { VARIANT_KINDS, type Variant } from '$lib/core/checklist/variant';
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	/** Errors and variations by card, with what to look for and how sure it is. */
	let { release, problems }: { release: Release; problems: readonly Problem[] } = $props();
	const sectionName = (key: string) =>
		release.sections.find((section) => section.key === key)?.name ?? key;

	function coverOf({ sections, from, to, cards }: Variant): string {
		const where = sections?.map(sectionName).join(', ') ?? '';
		if (cards)
			return [foldRuns(cards), sections?.includes('base') ? '' : where].filter(Boolean).join(', ');
		if (from ?? to) return `${from ?? 'first'}–${to ?? 'last'}`;
		return where || 'every card';
	}
</script>

<section class="mt-8" aria-labelledby="variants">
	<h2 id="variants" class="mb-2">Variants and errors</h2>
	<ul class="divide-y divide-base-300">
		{#each release.variants as variant (variant.key)}
			<li class="grid gap-x-5 py-2 sm:grid-cols-[7rem_10rem_1fr]">
				<strong class="wrap-break-word">{coverOf(variant)}</strong>
				<span title={VARIANT_KINDS[variant.kind].meaning}
					>{variant.kind}{variant.printRun ? ` /${variant.printRun}` : ''}</span
				>
				<span>
					{variant.name}{#if variant.howToTell}<span class="quiet">: {variant.howToTell}</span>{/if}
					{#if variant.confidence || variant.source}
						<span class="block text-sm quiet"
							>{[variant.confidence, variant.source].filter(Boolean).join(', ')}</span
						>
					{/if}
				</span>
			</li>
		{/each}
	</ul>
	<form method="POST" action="?/variant" use:enhance class="mt-3 flex flex-wrap items-end gap-2">
		<Field label="Record one in a line" class="min-w-0 flex-1 basis-72">
			<input
				class="input w-full"
				name="line"
				required
				maxlength="1000"
				autocomplete="off"
				placeholder="27: home town, two printings"
			/>
		</Field>
		<button class="btn">Record</button>
	</form>
	<ProblemAlert {problems} class="mt-3" />
</section>
