<script lang="ts">
	import { SEALED_TRUSTS } from '$lib/core/packs/sealed/compare-sealed';
	import { SEALED_UNITS } from '$lib/core/packs/sealed/sealed-unit';
	import { formatMinor } from '$lib/core/money/minor-units';
	import type { SealedView } from '$lib/server/packs/sealed/sealed-view';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import { TRUST_WORDS } from './trust-words';

	interface Props {
		kinds: SealedView['kinds'];
		currency: string;
		/** null: a new one. */
		lot: SealedView['lots'][number] | null;
		onKept?: () => void;
	}
	/** What is known of something sealed. */
	let { kinds, currency, lot, onKept = () => {} }: Props = $props();
	const amount = (minor: number | null | undefined) =>
		minor === null || minor === undefined
			? ''
			: `${formatMinor(minor, lot?.currency ?? currency)} ${lot?.currency ?? currency}`;
</script>

<form
	method="POST"
	action="?/keep"
	class="mt-2 flex flex-wrap items-end gap-x-3 gap-y-2"
	use:enhance={() =>
		async ({ result, update }) => {
			await update({ reset: lot === null && result.type === 'success' });
			if (result.type === 'success') onKept();
		}}
>
	<input type="hidden" name="lot" value={lot?.id ?? ''} />
	<Field label="How many"
		><input
			name="quantity"
			class="input w-20 input-sm"
			inputmode="numeric"
			value={lot?.quantity ?? 1}
		/></Field
	>
	<Field label="Packs, boxes or cases">
		<select name="unit" class="select w-40 select-sm" value={lot?.unit ?? 'box'}>
			{#each SEALED_UNITS as unit (unit)}<option>{unit}</option>{/each}
		</select>
	</Field>
	<Field label="Packs of">
		<select name="pack" class="select w-64 max-w-full select-sm" value={lot?.packKey}>
			{#each kinds as { key, name } (key)}<option value={key}>{name}</option>{/each}
		</select>
	</Field>
	<Field label="Each cost"
		><input
			name="cost"
			class="input w-28 input-sm"
			inputmode="decimal"
			placeholder="not known"
			value={amount(lot?.costMinor)}
		/></Field
	>
	<Field label="Each sells for"
		><input
			name="value"
			class="input w-28 input-sm"
			inputmode="decimal"
			placeholder="not known"
			value={amount(lot?.valueMinor)}
		/></Field
	>
	<Field label="Never opened">
		<select name="trust" class="select w-52 select-sm" value={lot?.trust ?? 'likely'}>
			{#each SEALED_TRUSTS as trust (trust)}<option value={trust}>{TRUST_WORDS[trust]}</option
				>{/each}
		</select>
	</Field>
	<Field label="From whom, what speaks for it"
		><input name="source" class="input w-56 max-w-full input-sm" value={lot?.source ?? ''} /></Field
	>
	<Field label="Kept at"
		><input name="place" class="input w-40 input-sm" value={lot?.place ?? ''} /></Field
	>
	<Field label="Since"
		><input
			name="acquiredOn"
			type="date"
			class="input w-40 input-sm"
			value={lot?.acquiredOn ?? ''}
		/></Field
	>
	<button class="btn btn-primary btn-sm">Keep</button>
</form>
