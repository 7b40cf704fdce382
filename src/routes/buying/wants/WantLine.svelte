<script lang="ts">
	import Copy from '@lucide/svelte/icons/copy';
	import Star from '@lucide/svelte/icons/star';
	import { resolve } from '$app/paths';
	import type { Priority } from '$lib/core/buying/wants/wants-list';
	import { parseVersionKey } from '$lib/core/checklist/versions/version-key';
	import { CONDITIONS, type Condition } from '$lib/core/copies/condition';
	import { formatMinor } from '$lib/core/money/minor-units';
	import { formatPriceRange } from '$lib/ui/money';
	import { formatMoney } from '$lib/ui/numerals';
	import type { PageData } from './$types';
	import type { createWantBook, SaidOfWant } from './want-book.svelte';

	interface Props {
		want: PageData['wants'][number];
		book: ReturnType<typeof createWantBook>;
		currency: string;
	}
	let { want, book, currency }: Props = $props();
	const version = $derived(want.versions[0] ?? '');
	const name = $derived(parseVersionKey(version));
	const { mark } = $derived(want);
	const called = $derived(`${want.name} ${want.title}`.trim());
	let isOpen = $state(false);
	const say = (said: Partial<SaidOfWant>) =>
		void book.mark(version, called, {
			isFavourite: want.isFavourite,
			priority: mark?.priority ?? null,
			most: mark?.mostMinor === undefined ? '' : formatMinor(mark.mostMinor, currency),
			leastCondition: mark?.leastCondition ?? null,
			...said
		});
</script>

<div class="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
	<button
		class="btn btn-square btn-ghost btn-sm"
		aria-pressed={want.isFavourite}
		aria-label="Favourite: {called}"
		onclick={() => say({ isFavourite: !want.isFavourite })}
		><Star
			class={['size-4', want.isFavourite && 'fill-accent text-accent']}
			aria-hidden="true"
		/></button
	>
	<span class="min-w-40 flex-1">
		<a
			class="hover:underline"
			href={resolve('/releases/[release]/cards/[card]', {
				release: want.releaseKey,
				card: name?.card ?? ''
			})}
			><strong class="font-serif text-lg font-medium">{want.name}</strong>
			<span class="quiet">{want.title === want.name ? '' : want.title}</span></a
		>
		{#if want.quantity > 1}<span class="quiet">× {want.quantity}</span>{/if}
		{#if want.isFavourite}<span class="text-xs quiet">{want.release}, {want.group}</span>{/if}
	</span>
	<span class="w-32 text-right">
		{#if want.price}
			{formatPriceRange(want.price, currency)}
			{#if want.isTooDear}<span class="block text-xs text-accent">above your limit</span>{/if}
		{:else if want.inSum}
			<span class="estimate">{formatMoney(want.inSum.eachMinor, currency)}</span>
			<span class="block text-xs quiet">in {want.inSum.words}</span>
		{:else}<span class="text-sm quiet">no price</span>{/if}
	</span>
	<label class="flex items-center gap-1.5 text-sm quiet"
		>at most
		<input
			class="input w-20 text-right input-sm"
			inputmode="decimal"
			placeholder={want.mostMinor === null ? 'no limit' : formatMinor(want.mostMinor, currency)}
			aria-label="At most for {called}"
			title="The most you would pay"
			value={mark?.mostMinor === undefined ? '' : formatMinor(mark.mostMinor, currency)}
			onchange={({ currentTarget }) => say({ most: currentTarget.value })}
		/></label
	>
	<button
		class="btn btn-ghost btn-sm"
		aria-expanded={isOpen}
		aria-label="More of {called}"
		onclick={() => (isOpen = !isOpen)}
		>{mark?.leastCondition ?? want.leastCondition ?? 'any condition'}{mark?.priority
			? `, priority ${mark.priority}`
			: ''} ▾</button
	>
	<button
		class="btn btn-square btn-ghost btn-sm"
		aria-label="Copy the search text of {called}"
		title="Copy: {want.search}"
		onclick={() => void book.copy(want.search)}><Copy class="size-4" aria-hidden="true" /></button
	>
</div>
{#if isOpen}
	<div class="flex flex-wrap items-center gap-x-4 gap-y-2 pb-2 pl-11 text-sm">
		<label class="flex items-center gap-1.5"
			>least condition
			<select
				class="select w-36 select-sm"
				aria-label="Least condition of {called}"
				value={mark?.leastCondition ?? ''}
				onchange={({ currentTarget }) =>
					say({ leastCondition: (currentTarget.value || null) as Condition | null })}
			>
				<option value="">as its goals ask</option>
				{#each CONDITIONS as condition (condition)}<option>{condition}</option>{/each}
			</select></label
		>
		<label class="flex items-center gap-1.5"
			>priority
			<select
				class="select w-36 select-sm"
				aria-label="Priority of {called}"
				value={String(mark?.priority ?? '')}
				onchange={({ currentTarget }) =>
					say({ priority: (Number(currentTarget.value) || null) as Priority | null })}
			>
				<option value="">as its goals, {want.priority}</option>
				{#each [1, 2, 3] as n (n)}<option>{n}</option>{/each}
			</select></label
		>
		<span class="font-mono text-xs break-all quiet">{want.search}</span>
	</div>
{/if}
