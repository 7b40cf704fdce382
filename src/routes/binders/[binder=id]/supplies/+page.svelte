<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import type { BinderLayout } from '$lib/core/binder/binder-layout';
	import { formatCount } from '$lib/ui/numerals';
	import SupplyTable from '$lib/ui/supplies/SupplyTable.svelte';
	import { totalOf } from '$lib/ui/supplies/total-of';
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { data, form } = $props();
	const { list, tried } = $derived(data.supplies);
	const currency = $derived(data.supplies.prices[0]?.currency ?? 'EUR');
	const sheet = $derived(`${resolve('/')}api/binders/${data.binder.id}/sheets/supplies.pdf`);

	const HEADS = { count: 'When complete', today: 'For today' };

	function wordsOf(change: Partial<BinderLayout>): string {
		if (change.pageKind !== undefined) {
			const kind = data.pageKinds.find(({ key }) => key === change.pageKind);
			return `${kind?.name ?? change.pageKind} pages`;
		}
		if (change.cardsAPocket !== undefined)
			return change.cardsAPocket === 1 ? 'One card a pocket' : 'Two cards back to back';
		return `${change.slack ?? 0} free pockets a section`;
	}
	const rows = $derived([
		{
			name: 'As it is',
			leaves: data.plan.leaves,
			cardPages: data.plan.cardPages,
			volumes: data.plan.volumes.length,
			supplies: list
		},
		...tried.map((asked) => ({ ...asked, name: wordsOf(asked.change) }))
	]);
	const most = $derived(Math.max(1, ...rows.map(({ leaves }) => leaves)));
</script>

{#if list.lines.length === 0}
	<p class="max-w-xl text-lg">Nothing is laid yet, so nothing is needed.</p>
{:else}
	<section class="mb-8" aria-labelledby="needs">
		<h2 id="needs" class="mb-2">What it takes</h2>
		<ProblemAlert problems={form?.problems} />
		<form
			method="POST"
			use:enhance={() =>
				({ update }) =>
					update({ reset: false })}
		>
			<SupplyTable {list} prices={data.supplies.prices} heads={HEADS} />
			<div class="mt-3 flex flex-wrap items-end gap-3">
				<Field label="Currency">
					<input class="input w-20 input-sm" name="currency" maxlength="3" value={currency} />
				</Field>
				<button class="btn btn-primary btn-sm">Save prices</button>
				<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- a file of the API -->
				<a class="prose-link" href={sheet}>Shopping list as PDF</a>
				{#if form?.saved}<span role="status" class="quiet">Saved; the costs are new.</span>{/if}
			</div>
		</form>
		<p class="mt-3 max-w-2xl text-sm quiet">
			One sleeve a card. Take pages and sleeves without PVC: soft vinyl harms cards in time.
		</p>
	</section>

	<section aria-labelledby="what-if">
		<h2 id="what-if" class="mb-2">What if</h2>
		<div class="overflow-x-auto">
			<table class="table max-w-3xl table-sm [&_td]:text-base [&_th]:text-base">
				<thead
					><tr>
						<th scope="col">Laid with</th>
						<th scope="col" class="text-right">Pages</th>
						<th scope="col" class="w-2/5">Leaves</th>
						<th scope="col" class="text-right">Volumes</th>
						<th scope="col" class="text-right">Cost</th>
					</tr></thead
				>
				<tbody>
					{#each rows as { name, cardPages, leaves, volumes, supplies }, i (name)}
						<tr class={i === 0 ? 'font-semibold' : ''}>
							<th scope="row" class={i === 0 ? '' : 'font-normal'}>{name}</th>
							<td class="text-right">{formatCount(cardPages)}</td>
							<td
								><span class="flex items-center gap-2"
									><span
										class={['h-3 rounded-sm', i === 0 ? 'bg-primary' : 'bg-secondary/50']}
										style:width="{(75 * leaves) / most}%"
										aria-hidden="true"
									></span>{formatCount(leaves)}</span
								></td
							>
							<td class="text-right">{volumes}</td>
							<td class="text-right">{totalOf(supplies)}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
	</section>
{/if}
