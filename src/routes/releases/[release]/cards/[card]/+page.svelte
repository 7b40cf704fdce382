<script lang="ts">
	import { resolve } from '$app/paths';
	import CardPicture from '$lib/ui/card-picture/CardPicture.svelte';
	import { formatCount } from '$lib/ui/numerals';
	import CardFacts from './CardFacts.svelte';
	import CardLeads from './CardLeads.svelte';
	import WhichVersion from '$lib/ui/telling/WhichVersion.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import CopyEntry from './CopyEntry.svelte';
	import { createCopyDesk } from './copy-desk.svelte';

	let { data } = $props();
	const card = $derived(data.card);
	const release = $derived(data.release);
	const desk = createCopyDesk();
	/** `x` takes one card off the first pile of the page. */
	function onkeydown(event: KeyboardEvent) {
		const isTyping = event.target instanceof HTMLElement && event.target.matches('input, select');
		if (event.key !== 'x' || isTyping || event.ctrlKey || event.metaKey || event.altKey) return;
		const pile = data.copies.find(({ quantity }) => quantity > 1);
		if (pile) void desk.split(pile.id);
	}
	const nameOf = ({ number, title }: { number: string | null; title: string }) =>
		[number, title].filter(Boolean).join(' ');
	/** The other variants of the card in a version's finish. */
	const deviationsBeside = (version: (typeof data.versions)[number]) =>
		data.versions.flatMap(({ parallelKey, variantKey, variant }) =>
			variantKey !== null &&
			parallelKey === version.parallelKey &&
			variantKey !== version.variantKey
				? [{ key: variantKey, name: variant }]
				: []
		);
	const tellApart = (keys: readonly string[]) =>
		`${resolve('/tell-apart')}?${new URLSearchParams(keys.map((key) => ['of', key]))}`;
</script>

<svelte:head><title>{nameOf(card)} · {release.name} · Jade Binder</title></svelte:head>

<svelte:window {onkeydown} />

<header class="mt-4 mb-6 grid items-start gap-x-8 gap-y-4 sm:grid-cols-[9rem_1fr]">
	<div class="w-36">
		<CardPicture seed="{release.key}/{card.key}" title={card.title} group={card.group ?? ''} />
	</div>
	<div>
		<p class="quiet">
			<a class="prose-link" href={resolve('/releases/[release]', { release: release.key })}
				>{release.name}</a
			>
			· {data.section.name}
		</p>
		<h1 class="mt-1">
			{#if card.number}<span class="mr-3 text-primary">{card.number}</span>{/if}{card.title}
		</h1>
		<p class="mt-1 quiet">
			{#each card.subjects as subject, i (subject)}{i > 0 ? ', ' : ''}<a
					class="prose-link"
					href={resolve('/releases/subjects/[subject]', { subject: encodeURIComponent(subject) })}
					>{subject}</a
				>{/each}
			{[card.group, card.rarity, ...card.marks].filter(Boolean).join(' · ')}
		</p>
		<CardFacts
			{card}
			packTypes={release.packTypes}
			howToTell={data.section.howToTell}
			lettering={data.section.lettering}
			names={data.alike}
		/>
		{#each data.variants as { key, kind, name, howToTell } (key)}
			<p class="mt-1"><strong>{kind}</strong>: {name}{howToTell ? `. ${howToTell}` : ''}</p>
		{/each}
		<CardLeads release={release.key} {card} leads={data.leads} />
		<p class="mt-3 flex gap-4">
			{#each [{ card: data.before, from: '← ', to: '' }, { card: data.after, from: '', to: ' →' }] as { card, from, to } (from)}
				{#if card}<a
						class="prose-link"
						href={resolve('/releases/[release]/cards/[card]', {
							release: release.key,
							card: card.key
						})}>{from}{nameOf(card)}{to}</a
					>{/if}
			{/each}
		</p>
	</div>
</header>

{#each data.repeated as { serial, copies } (serial)}
	<p class="mb-4 border-l-3 border-error pl-4" role="alert">
		{copies} copies bear the serial number {serial}: one of them may be misread, or not genuine.
	</p>
{/each}

{#if data.wanted.length > 0}
	<h2 class="mb-1">What goals ask of it</h2>
	<ul class="mb-6 flex flex-wrap gap-x-6 gap-y-1">
		{#each data.wanted as { key, goal, isFilled, version } (`${goal} ${key}`)}
			<li>
				<span class={isFilled ? 'text-primary' : 'text-accent'}
					>{isFilled ? '✓ filled' : 'missing'}</span
				>
				{version} <span class="quiet">for {goal}</span>
			</li>
		{/each}
	</ul>
{/if}
{#if data.mistaken.length > 0 || data.versions.length > 1}
	<p class="mb-4 flex flex-wrap gap-x-5 gap-y-1">
		<!-- eslint-disable svelte/no-navigation-without-resolve -- resolved, with a query behind it -->
		{#if data.versions.length > 1}
			<a class="prose-link" href={tellApart(data.versions.slice(0, 12).map(({ key }) => key))}
				>Its versions side by side</a
			>
		{/if}
		{#each data.mistaken as { id, name, keys } (id)}
			<a class="prose-link" href={tellApart(keys)}>Easily mistaken: {name}</a>
		{/each}
		<!-- eslint-enable svelte/no-navigation-without-resolve -->
	</p>
{/if}
<WhichVersion
	candidates={data.candidates}
	nameOf={(key) => {
		const version = data.versions.find((each) => each.key === key);
		return [version?.finish, version?.variant].filter(Boolean).join(', ');
	}}
	record={(key) => desk.add(key)}
/>
<h2 class="mb-1">Versions and copies</h2>
<!-- A form that is open says it itself. -->
{#if !data.copies.some(({ id }) => id === desk.open)}<ProblemAlert problems={desk.problems} />{/if}
<ul>
	{#each data.versions as version (version.key)}
		{@const copies = data.copies.filter((copy) => copy.version === version.key)}
		<li class="border-t border-base-300 py-3">
			<div class="flex flex-wrap items-baseline gap-x-4 gap-y-1">
				<strong class="text-lg"
					>{version.finish}{version.variant ? `, ${version.variant}` : ''}</strong
				>
				{#if version.printRun}<span class="quiet">/{formatCount(version.printRun)}</span>{/if}
				{#if version.howToTell}<span class="text-sm quiet">{version.howToTell}</span>{/if}
				<button class="btn ml-auto btn-sm" onclick={() => desk.add(version.key)}
					>Record a copy</button
				>
			</div>
			{#each copies as copy (copy.id)}
				<CopyEntry {copy} {desk} deviations={deviationsBeside(version)} />
			{:else}
				<p class="quiet">none</p>
			{/each}
		</li>
	{/each}
</ul>
