<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { SvelteSet } from 'svelte/reactivity';
	import { CONDITIONS } from '$lib/core/copies/condition';
	import { COPY_STATUSES } from '$lib/core/copies/copy-record';
	import { SPREADS } from '$lib/core/copies/spread-cost';
	import { allHolders } from '$lib/ui/all-holders.svelte';
	import Field from '$lib/ui/Field.svelte';
	import { countOf, formatMoney } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import ReleaseSelect from '$lib/ui/ReleaseSelect.svelte';
	import SendOut from './SendOut.svelte';

	let { data, form } = $props();
	/** Copies that are left as they are, by id. */
	const left = new SvelteSet<number>();
	const chosen = $derived(data.copies.filter(({ id }) => !left.has(id)));
	const cards = $derived(chosen.reduce((sum, { quantity }) => sum + quantity, 0));

	function choose(event: Event & { currentTarget: HTMLFormElement }) {
		event.preventDefault();
		const query = new URLSearchParams();
		for (const [name, value] of new FormData(event.currentTarget)) {
			if (typeof value === 'string' && value !== '') query.set(name, value);
		}
		if (query.get('finish') === 'base') query.set('finish', '');
		// eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it
		void goto(`${resolve('/log/many')}?${query}`, { keepFocus: true });
	}
</script>

<svelte:head><title>Change many copies · Jade Binder</title></svelte:head>

<p class="mt-4 mb-1 quiet"><a class="prose-link" href={resolve('/log')}>Log</a></p>
<h1 class="mb-4">Change many copies</h1>
<form onsubmit={choose} class="mb-6 flex flex-wrap items-end gap-3" aria-label="Which copies">
	<Field label="Words">
		<input class="input w-44 input-sm" name="q" value={data.choice.words ?? ''} maxlength="200" />
	</Field>
	<Field label="Release">
		<ReleaseSelect
			name="release"
			chosen={data.release ?? { key: '', name: 'Any' }}
			others={[{ key: '', name: 'Any' }]}
			class="w-56 select-sm"
		/>
	</Field>
	{#if data.release}
		<Field label="Section">
			<select class="select w-40 select-sm" name="section" value={data.choice.section ?? ''}>
				<option value="">Any</option>
				{#each data.release.sections as { key, name } (key)}<option value={key}>{name}</option
					>{/each}
			</select>
		</Field>
		<Field label="Finish">
			<select
				class="select w-36 select-sm"
				name="finish"
				value={data.choice.finish === undefined ? 'any' : data.choice.finish || 'base'}
			>
				<option value="any">Any</option>
				<option value="base">Base</option>
				{#each data.release.finishes as { key, name } (key)}<option value={key}>{name}</option
					>{/each}
			</select>
		</Field>
	{/if}
	<Field label="Status">
		<select class="select w-32 select-sm" name="status" value={data.choice.status ?? ''}>
			<option value="">Any</option>
			{#each COPY_STATUSES as status (status)}<option>{status}</option>{/each}
		</select>
	</Field>
	{#if data.choice.box}<input type="hidden" name="box" value={data.choice.box} />{/if}
	{#if data.choice.copy}<input type="hidden" name="copy" value={data.choice.copy} />{/if}
	{#if data.choice.pile}<input type="hidden" name="pile" value={data.choice.pile} />{/if}
	<button class="btn btn-sm">Find them</button>
</form>
{#if form && 'changed' in form && form.changed}
	<p class="mb-4" role="status">{countOf(form.changed, 'card')} changed, in one step.</p>
{/if}
{#if form && 'out' in form && form.out}
	<p class="mb-4" role="status">
		{countOf(form.out, 'card')} out, with {form.out === 1 ? 'its place' : 'their places'} kept.
		<a class="prose-link" href={resolve('/boxes/out')}>All that is out</a>
	</p>
{/if}
{#if data.copies.length === 0}
	<p class="quiet">
		{Object.keys(data.choice).length === 0
			? 'Say which copies are meant.'
			: 'No copy is like that.'}
	</p>
{:else}
	<h2 class="mb-2">What changes</h2>
	<form method="POST" action="?/change" use:enhance aria-label="What changes">
		<div class="mb-2 flex flex-wrap items-end gap-3">
			<Field label="Status">
				<select class="select w-32 select-sm" name="status">
					<option value="">as it is</option>
					{#each COPY_STATUSES as status (status)}<option>{status}</option>{/each}
				</select>
			</Field>
			<Field label="Condition">
				<select class="select w-36 select-sm" name="condition">
					<option value="">as it is</option>
					{#each CONDITIONS as condition (condition)}<option>{condition}</option>{/each}
				</select>
			</Field>
			<Field label="Holder">
				<select class="select w-44 select-sm" name="holder">
					<option value="">as it is</option>
					{#each allHolders() as { key, name } (key)}<option value={key}>{name}</option>{/each}
				</select>
			</Field>
			<Field label="Kept in">
				<input class="input w-40 input-sm" name="place" maxlength="200" />
			</Field>
			<Field label="Came from">
				<input class="input w-40 input-sm" name="source" maxlength="200" />
			</Field>
			<Field label="Mark with">
				<input class="input w-36 input-sm" name="mark" placeholder="personal" maxlength="200" />
			</Field>
			<Field label="Take the mark off">
				<input class="input w-36 input-sm" name="unmark" maxlength="200" />
			</Field>
			<Field label="Value of one">
				<input class="input w-32 input-sm" name="value" placeholder="2.00 EUR" maxlength="40" />
			</Field>
			<Field label="All cost together">
				<input class="input w-32 input-sm" name="cost" placeholder="45.00 EUR" maxlength="40" />
			</Field>
			<Field label="spread by">
				<select class="select w-28 select-sm" name="by">
					{#each SPREADS as by (by)}<option>{by}</option>{/each}
				</select>
			</Field>
			<button class="btn btn-primary btn-sm" disabled={chosen.length === 0}
				>Change {countOf(cards, 'card')}</button
			>
		</div>
		<SendOut {cards} isOpen={data.choice.copy !== undefined} />
		<ProblemAlert problems={form?.problems} class="mb-4" />
		<p class="mb-2 flex gap-3 text-sm">
			<button type="button" class="btn btn-ghost btn-xs" onclick={() => left.clear()}>All</button>
			<button
				type="button"
				class="btn btn-ghost btn-xs"
				onclick={() => data.copies.forEach(({ id }) => left.add(id))}>None</button
			>
			{#if data.copies.length >= data.most}<span class="quiet"
					>The first {data.most}; narrow the search for the rest.</span
				>{/if}
		</p>
		<ul class="max-w-4xl" aria-label="Copies">
			{#each data.copies as copy (copy.id)}
				<li class="flex flex-wrap items-center gap-x-4 border-t border-base-300 py-1">
					<label class="flex min-w-0 flex-1 items-center gap-3">
						<input
							type="checkbox"
							class="checkbox checkbox-sm"
							name="copy"
							value={copy.id}
							checked={!left.has(copy.id)}
							onchange={(event) =>
								event.currentTarget.checked ? left.delete(copy.id) : left.add(copy.id)}
						/>
						<span class="min-w-0 truncate">{copy.name}, {copy.release}</span>
					</label>
					<span class="text-sm quiet"
						>{[
							copy.quantity > 1 ? `× ${copy.quantity}` : '',
							copy.status === 'kept' ? '' : copy.status,
							copy.condition,
							copy.place,
							copy.valueMinor !== null && copy.currency
								? formatMoney(copy.valueMinor, copy.currency)
								: ''
						]
							.filter(Boolean)
							.join(' · ')}</span
					>
				</li>
			{/each}
		</ul>
	</form>
{/if}
