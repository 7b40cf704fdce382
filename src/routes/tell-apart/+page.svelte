<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import ReleaseSelect from '$lib/ui/ReleaseSelect.svelte';
	import TellTable from '$lib/ui/telling/TellTable.svelte';
	import WhichVersion from '$lib/ui/telling/WhichVersion.svelte';

	let { data, form } = $props();
	let section = $state('');
	let finish = $state('');
	// svelte-ignore state_referenced_locally
	let number = $state(data.number);
	const keys = $derived(data.alikes.map(({ key }) => key));
	const isFull = $derived(keys.length >= data.mostAlike);

	/** The page with these beside each other. */
	function hrefOf(of: readonly string[], more: Readonly<Record<string, string>> = {}): string {
		const query = new URLSearchParams(of.map((key) => ['of', key]));
		for (const [name, value] of Object.entries(more)) query.set(name, value);
		return `${resolve('/tell-apart')}?${query}`;
	}
	const move = (to: string) => {
		// eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it
		void goto(to, { keepFocus: true, noScroll: true });
	};
	const from = $derived(data.from?.key ?? '');
	function add(event: SubmitEvent) {
		event.preventDefault();
		if (number.trim() !== '') {
			move(hrefOf(keys, { release: from, number: number.trim() }));
			return;
		}
		const key = section === '' ? from : `${from}/${section}${finish === '' ? '' : `~${finish}`}`;
		move(hrefOf([...new Set([...keys, key])], { release: from }));
	}
	const nameOf = (key: string) => {
		const found = data.alikes.find((each) => each.key === key);
		return found ? `${found.name}, ${found.release}` : key;
	};
</script>

<svelte:head><title>Tell apart · Jade Binder</title></svelte:head>

<h1 class="mb-2">Tell apart</h1>
<ProblemAlert problems={form?.problems} class="mb-4" />
{#if data.missing > 0}
	<p role="alert" class="mb-4">{data.missing} of these are not in the collection, or too many.</p>
{/if}

{#if data.table}
	<TellTable
		alikes={data.alikes}
		table={data.table}
		pictures={data.pictures}
		without={(key) => hrefOf(keys.filter((each) => each !== key))}
	/>
	<div class="mt-4 mb-6 flex flex-wrap items-center gap-3 print:hidden">
		<a
			class="btn btn-sm"
			href="{resolve('/api/tell-apart.pdf')}?{new URLSearchParams(keys.map((key) => ['of', key]))}"
			download>A card to carry (PDF)</a
		>
		<form method="POST" action="?/keep" use:enhance class="flex flex-wrap gap-2">
			{#each keys as key (key)}<input type="hidden" name="of" value={key} />{/each}
			<input
				class="input w-56 input-sm"
				name="name"
				aria-label="Name of these look-alikes"
				placeholder="what they are called"
				maxlength="200"
			/>
			<input
				class="input w-56 input-sm"
				name="note"
				aria-label="Note on them"
				placeholder="note"
				maxlength="2000"
			/>
			<button class="btn btn-sm">Keep as easily mistaken</button>
		</form>
	</div>
	{#key keys.join(' ')}
		<WhichVersion candidates={data.alikes} {nameOf} />
	{/key}
{:else}
	<p class="mb-4 max-w-2xl">
		Lay two or more things beside each other: releases, sections in a finish, versions of a card.
		What differs stands first, and a question after the other leads to what lies in your hand.
	</p>
	{#if data.alikes.length === 1}
		<p class="mb-4">Chosen: <strong>{nameOf(keys[0] ?? '')}</strong>. Add another one.</p>
	{/if}
{/if}

{#if data.from}
	<form
		onsubmit={add}
		class="mb-4 flex flex-wrap items-end gap-3 print:hidden"
		aria-label="Add to the table"
	>
		<Field label="Release">
			<ReleaseSelect
				chosen={data.from}
				class="w-64 select-sm"
				choose={(key) => {
					section = '';
					finish = '';
					move(hrefOf(keys, { release: key }));
				}}
			/>
		</Field>
		<Field label="Section">
			<select class="select w-44 select-sm" bind:value={section}>
				<option value="">The release itself</option>
				{#each data.from.sections as { key, name } (key)}<option value={key}>{name}</option>{/each}
			</select>
		</Field>
		<Field label="Finish">
			<select class="select w-40 select-sm" bind:value={finish} disabled={section === ''}>
				<option value="">Base</option>
				{#each data.from.finishes as { key, name } (key)}<option value={key}>{name}</option>{/each}
			</select>
		</Field>
		<Field label="or a number">
			<input class="input w-24 input-sm" bind:value={number} maxlength="60" />
		</Field>
		<button class="btn btn-primary btn-sm" disabled={isFull}>Add</button>
	</form>
	{#if data.number !== ''}
		<div class="mb-6 max-w-3xl">
			{#if data.from.versions.length === 0}
				<p>{data.from.name} has no number {data.number}.</p>
			{:else}
				<ul class="flex flex-wrap gap-2" aria-label="Versions of number {data.number}">
					{#each data.from.versions as { key, name } (key)}
						<li>
							<!-- eslint-disable svelte/no-navigation-without-resolve -- resolved, with a query behind it -->
							<a
								class={['btn btn-sm', keys.includes(key) && 'btn-disabled']}
								href={hrefOf([...keys, key], { release: from, number: data.number })}>{name}</a
							>
							<!-- eslint-enable svelte/no-navigation-without-resolve -->
						</li>
					{/each}
					{#if data.from.versions.length > 1 && data.from.versions.length <= data.mostAlike}
						<li>
							<!-- eslint-disable svelte/no-navigation-without-resolve -- resolved, with a query behind it -->
							<a
								class="btn btn-primary btn-sm"
								href={hrefOf(
									data.from.versions.map(({ key }) => key),
									{ release: from }
								)}>All of them</a
							>
							<!-- eslint-enable svelte/no-navigation-without-resolve -->
						</li>
					{/if}
				</ul>
			{/if}
		</div>
	{/if}
{/if}

<section class="mt-6 max-w-3xl print:hidden" aria-labelledby="kept">
	<h2 id="kept" class="mb-1">Easily mistaken</h2>
	<ul>
		{#each data.kept as { id, name, note, names, keys: of } (id)}
			<li class="flex flex-wrap items-baseline gap-x-4 border-t border-base-300 py-2">
				<!-- eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it -->
				<a class="font-semibold prose-link" href={hrefOf(of)}>{name}</a>
				<span class="min-w-0 flex-1 quiet"
					>{names.map((each) => `${each.name}, ${each.release}`).join(' · ')}{note
						? ` · ${note}`
						: ''}</span
				>
				<form method="POST" action="?/drop" use:enhance>
					<input type="hidden" name="id" value={id} />
					<button class="btn btn-ghost btn-xs" aria-label="Let {name} go">✕</button>
				</form>
			</li>
		{:else}
			<li class="quiet">
				None kept yet. What is kept shows on the pages of its cards, and in the trainer.
			</li>
		{/each}
	</ul>
</section>
