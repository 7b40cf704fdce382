<script lang="ts">
	import type { FormAnswer } from '$lib/ui/form-answer';
	import { formatMinor } from '$lib/core/money/minor-units';
	import { formatBandLines, formatChannelLines } from '$lib/core/selling/lots/band-line';
	import type { LotsView } from '$lib/server/selling/lots/lots-view';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import LinesField from '$lib/ui/LinesField.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	interface Props {
		kept: LotsView['kept'];
		currency: string;
		answer: FormAnswer;
	}
	/** By what it is decided what goes, where, and for how much. */
	let { kept, currency, answer }: Props = $props();
	const PERCENTS = [
		{ name: 'askPercent', label: 'Asked, % of its worth' },
		{ name: 'floorPercent', label: 'Not under, %' },
		{ name: 'lotPercent', label: 'A lot brings, % of its cards' }
	] as const;
</script>

<details class="mb-4 max-w-5xl" open={answer.isAnswered}>
	<summary class="cursor-pointer">By which rules</summary>
	<form
		method="POST"
		action="?/rules"
		class="mt-2"
		use:enhance={() =>
			({ update }) =>
				update({ reset: false })}
	>
		<div class="grid gap-4 sm:grid-cols-2">
			<Field label="By value: from where on, how, at which channel"
				><LinesField name="bands" rows={4} value={formatBandLines(kept.bands, currency)} /></Field
			>
			<Field label="Channels and what they take"
				><LinesField
					name="channels"
					rows={4}
					value={formatChannelLines(kept.channels, currency)}
				/></Field
			>
		</div>
		<div class="mt-2 flex flex-wrap items-end gap-x-4 gap-y-2">
			{#each PERCENTS as { name, label } (name)}
				<Field {label}
					><input
						{name}
						class="input w-24 input-sm"
						inputmode="decimal"
						value={kept[name]}
					/></Field
				>
			{/each}
			<Field label="A base card without a price counts as"
				><input
					name="unpriced"
					class="input w-24 input-sm"
					inputmode="decimal"
					placeholder="not dealt"
					value={kept.unpricedMinor === null ? '' : formatMinor(kept.unpricedMinor, currency)}
				/></Field
			>
		</div>
		<div class="mt-2 flex flex-wrap items-center gap-x-6 gap-y-1">
			<label class="flex items-center gap-2"
				><input
					type="checkbox"
					name="sellsInserts"
					value="yes"
					class="checkbox checkbox-sm"
					checked={kept.sellsInserts}
				/> inserts and parallels go that no goal asks for</label
			>
			<label class="flex items-center gap-2"
				><input
					type="checkbox"
					name="sellsDoubles"
					value="yes"
					class="checkbox checkbox-sm"
					checked={kept.sellsDoubles}
				/> base cards go beyond what goals need</label
			>
			<button class="btn btn-sm">Keep</button>
			<span class="text-sm" aria-live="polite">{answer.told}</span>
		</div>
		<p class="mt-1 text-sm quiet">
			What is marked “to sell” goes in any case, what is marked spare as far as no goal needs it.
			Shares are assumptions; amounts in {currency}.
		</p>
		<ProblemAlert problems={answer.problems} class="mt-2" />
	</form>
</details>
