<script lang="ts">
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { refreshCopies } from '$lib/ui/refresh';
	import { createReport } from '$lib/ui/change-report.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { countOf, formatMoney } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import { send } from '$lib/ui/send';
	import { createPriceReader } from '../price-reader.svelte';
	import PriceLine from '../PriceLine.svelte';
	import type { PageData } from './$types';

	interface Props {
		data: PageData;
		seller: NonNullable<PageData['seller']>;
		ground: NonNullable<PageData['ground']>;
	}
	let { data, seller, ground }: Props = $props();
	const report = createReport();
	const reader = createPriceReader({
		release: () => ground.release,
		wants: () => ground.wants,
		synonyms: () => ground.synonyms,
		currency: () => seller.currency,
		takesCounts: true
	});

	async function change(method: 'POST' | 'DELETE', body: object, said: string) {
		const answer = send(method, `/api/sellers/${seller.id}/offers`, body);
		const outcome = await report.of(answer, { said: () => said });
		await refreshCopies();
		return outcome.ok;
	}
	async function apply() {
		const line = reader.line;
		reader.line = '';
		const isKept = await change('POST', { release: ground.release.key, line }, `Kept: ${line}`);
		if (!isKept) reader.line = [line, reader.line].filter(Boolean).join('; ');
	}
	const wanted = $derived(data.offers.filter(({ isWanted }) => isWanted).length);
</script>

<Field label="Numbers are of" class="mb-2">
	<select
		class="select w-72 max-w-full select-sm"
		value={ground.release.key}
		onchange={({ currentTarget }) =>
			void goto(resolve(`/buying/offers?seller=${seller.id}&release=${currentTarget.value}`), {
				noScroll: true
			})}
	>
		{#each data.releases as { key, name } (key)}<option value={key}>{name}</option>{/each}
	</select>
</Field>
<PriceLine
	bind:line={reader.line}
	label="What {seller.name} offers"
	placeholder="5x9 0.40 nm (5 for 1.50); 7 1.20; all commons 9 (shipped)"
	reading={reader.reading}
	flags={[]}
	currency={seller.currency}
	told={report.told}
	{apply}
/>
<ProblemAlert problems={report.problems} class="mb-3" />
<p class="mb-3 text-sm">
	<a class="prose-link" href={resolve(`/buying/offers/file?seller=${seller.id}`)}
		>Take in a list as XLSX or CSV</a
	>{#if data.waiting > 0}, <strong>{countOf(data.waiting, 'row')} to settle</strong>{/if}
</p>
{#if data.offers.length + data.bundles.length > 0}
	<p class="mb-1">
		{countOf(data.offers.length, 'offer')}, <strong>{wanted} wanted</strong>{data.bundles.length > 0
			? `; ${countOf(data.bundles.length, 'bundle')}`
			: ''}
	</p>
	<ul class="columns-1 gap-8 md:columns-2 xl:columns-3">
		{#each data.bundles as { id, words, minor, cards, isShipped } (id)}
			<li class="flex items-center gap-2 border-t border-base-300 py-1" data-testid="bundle">
				<span class="min-w-0 flex-1"
					><strong>{words}</strong>
					<span class="quiet">{countOf(cards, 'card')} together{isShipped ? ', shipped' : ''}</span
					></span
				>
				<span>{formatMoney(minor, seller.currency)}</span>
				<button
					class="btn btn-square btn-ghost btn-xs"
					aria-label="Take away {words}"
					onclick={() => void change('DELETE', { bundle: id }, 'Taken away; undo brings it back.')}
					>✕</button
				>
			</li>
		{/each}
		{#each data.offers as { id, name, release, quantity, condition, minor, lots, isWanted } (id)}
			<li class="flex items-center gap-2 border-t border-base-300 py-1" data-testid="offer">
				<span class="min-w-0 flex-1 truncate" title="{name}, {release}">
					{#if isWanted}<span class="text-primary" title="wanted">●</span><span class="sr-only"
							>wanted</span
						>{/if}
					{name}{quantity > 1 ? ` × ${quantity}` : ''}
					<span class="text-sm quiet">{[condition, lots].filter(Boolean).join('; ')}</span>
				</span>
				<span>{formatMoney(minor, seller.currency)}</span>
				<button
					class="btn btn-square btn-ghost btn-xs"
					aria-label="Take away the offer of {name}"
					onclick={() => void change('DELETE', { offer: id }, 'Taken away; undo brings it back.')}
					>✕</button
				>
			</li>
		{/each}
	</ul>
{/if}
