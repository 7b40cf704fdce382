<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import type { Problem } from '$lib/core/problem';
	import { formatMinor } from '$lib/core/money/minor-units';
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import type { PageData } from './$types';

	interface Props {
		/** Null: a new one. */
		seller: PageData['sellers'][number] | null;
		currency: string;
		problems: readonly Problem[] | undefined;
	}
	let { seller, currency, problems }: Props = $props();
	const keep =
		() =>
		({ update }: { update: (options: { reset: boolean }) => Promise<void> }) =>
			update({ reset: false });
</script>

<ProblemAlert {problems} class="mb-2" />
<form method="POST" action="?/seller" use:enhance={keep} class="flex flex-wrap items-end gap-3">
	{#if seller}<input type="hidden" name="seller" value={seller.id} />{/if}
	<Field label="Name"
		><input
			name="name"
			class="input w-48 input-sm"
			maxlength="200"
			required
			value={seller?.name ?? ''}
		/></Field
	>
	<Field label="In"
		><input
			name="currency"
			class="input w-16 input-sm"
			maxlength="3"
			value={seller?.currency ?? currency}
		/></Field
	>
	<Field label="Postage straight: 5 + 0.10, or 1–20: 4.50; 21+: 6, free from 40"
		><input
			name="direct"
			class="input w-96 max-w-full input-sm"
			value={seller?.directText ?? ''}
			placeholder="does not send straight"
		/></Field
	>
	<Field label="Postage into the hub"
		><input
			name="toHub"
			class="input w-44 input-sm"
			value={seller?.toHubText ?? ''}
			placeholder="does not send there"
		/></Field
	>
	<Field label="Least order"
		><input
			name="leastOrder"
			class="input w-20 text-right input-sm"
			inputmode="decimal"
			value={seller?.leastOrderMinor ? formatMinor(seller.leastOrderMinor, seller.currency) : ''}
		/></Field
	>
	<Field label="Days"
		><input
			name="days"
			class="input w-16 input-sm"
			inputmode="numeric"
			value={seller?.days ?? ''}
		/></Field
	>
	<Field label="Days to the hub"
		><input
			name="daysToHub"
			class="input w-20 input-sm"
			inputmode="numeric"
			value={seller?.daysToHub ?? ''}
		/></Field
	>
	<Field label="Trust, 0 to 5"
		><input
			name="trust"
			class="input w-16 input-sm"
			inputmode="numeric"
			value={seller?.trust ?? ''}
		/></Field
	>
	<Field label="Note"
		><input
			name="note"
			class="input w-56 input-sm"
			maxlength="2000"
			value={seller?.note ?? ''}
		/></Field
	>
	<label class="flex items-center gap-2 text-sm"
		><input
			type="checkbox"
			class="checkbox checkbox-sm"
			name="isListWhole"
			value="yes"
			checked={seller?.isListWhole ?? false}
		/> Their whole list was looked through</label
	>
	<button class="btn btn-primary btn-sm">{seller ? 'Save' : 'Add the seller'}</button>
	{#if seller}
		<button class="btn btn-ghost btn-sm" formaction="?/remove" formnovalidate
			>Remove with all offers</button
		>
	{/if}
</form>
