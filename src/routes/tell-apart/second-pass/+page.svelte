<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { group } from 'd3-array';
	import { SvelteSet } from 'svelte/reactivity';
	import { countOf } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import ReleaseSelect from '$lib/ui/ReleaseSelect.svelte';

	let { data, form } = $props();
	/** Put off: they come back when the page is opened again. */
	const skipped = new SvelteSet<string>();
	const open = $derived(data.lines.filter(({ key }) => !skipped.has(key)));
	const current = $derived(open[0]);
	const places = $derived([
		...group(open, ({ place }) =>
			place ? `${place.name}${place.row === null ? '' : `, row ${place.row}`}` : 'Without a place'
		)
	]);
	let answers = $state<HTMLElement>();

	function look(release: string, all: boolean) {
		const query = new URLSearchParams(
			release === '' ? {} : { release, ...(all ? { all: '1' } : {}) }
		);
		// eslint-disable-next-line svelte/no-navigation-without-resolve -- resolved, with a query behind it
		void goto(`${resolve('/tell-apart/second-pass')}?${query}`, { keepFocus: true });
	}

	function onkeydown(event: KeyboardEvent) {
		const isTyping = event.target instanceof HTMLElement && event.target.matches('input, select');
		if (!current || isTyping || event.ctrlKey || event.altKey || event.metaKey) return;
		if (event.key === 'k') skipped.add(current.key);
		else if (/^[1-9]$/.test(event.key)) {
			const buttons = answers?.querySelectorAll<HTMLButtonElement>('button[data-printing]');
			buttons?.item(Number(event.key) - 1)?.click();
		} else return;
		event.preventDefault();
	}
</script>

<svelte:head><title>Second pass · Jade Binder</title></svelte:head>
<svelte:window {onkeydown} />

<h1 class="mb-2">Second pass</h1>
<p class="mb-4 max-w-2xl quiet print:hidden">
	Cards you own whose number exists in several printings, in the order in which they stand. Look,
	answer, go on: what you answer is looked at, what you skip stays open.
</p>
<div class="mb-4 flex flex-wrap items-end gap-4 print:hidden">
	<label
		><span class="block text-sm quiet">Cards of</span>
		<ReleaseSelect
			chosen={data.release ?? { key: '', name: 'Every release' }}
			others={[{ key: '', name: 'Every release' }]}
			class="w-64 select-sm"
			choose={(key) => look(key, false)}
		/></label
	>
	{#if data.release}
		<label class="flex items-center gap-2 pb-1">
			<input
				type="checkbox"
				class="checkbox checkbox-sm"
				checked={data.all}
				onchange={(event) => look(data.release?.key ?? '', event.currentTarget.checked)}
			/>
			Those looked at as well
		</label>
	{/if}
	{#if data.lines.length > 0}
		<a
			class="btn btn-sm"
			href="{resolve('/api/second-pass.pdf')}?{new URLSearchParams({
				...(data.release ? { release: data.release.key } : {}),
				...(data.all ? { all: '1' } : {})
			})}"
			download>Print the list (PDF)</a
		>
	{/if}
</div>
<ProblemAlert problems={form?.problems} class="mb-4" />

{#if current}
	<section
		class="mb-8 max-w-3xl rounded-box bg-base-200 p-4"
		aria-label="Look at this one"
		data-testid="pass-line"
		bind:this={answers}
	>
		<p class="text-sm quiet" aria-live="polite">
			{current.place
				? `${current.place.name}${current.place.row === null ? '' : `, row ${current.place.row}`}`
				: 'Without a place'} · {countOf(open.length, 'card')} to look at
		</p>
		<p class="mb-3 font-serif text-2xl">
			{#if current.number}<strong class="mr-2">{current.number}</strong>{/if}{[
				current.title,
				current.finish,
				current.release
			]
				.filter(Boolean)
				.join(', ')}
			{#if current.quantity > 1}<span class="quiet">× {current.quantity}</span>{/if}
		</p>
		<ul class="space-y-2">
			{#each current.printings as { version, name, lookFor }, i (version)}
				<li>
					<form
						method="POST"
						action="?/settle"
						use:enhance
						class="flex flex-wrap items-center gap-3"
					>
						<input type="hidden" name="copy" value={current.key} />
						<input type="hidden" name="version" value={version} />
						<button class="btn min-h-11 bg-base-100" data-printing
							><kbd class="kbd kbd-sm max-sm:hidden">{i + 1}</kbd>{name}</button
						>
						{#if current.quantity > 1}
							<label class="flex items-center gap-2 text-sm"
								><input
									class="input w-20 input-sm"
									type="number"
									name="quantity"
									min="1"
									max={current.quantity}
									value={i === 0 ? current.quantity : 1}
								/>of them</label
							>
						{:else}<input type="hidden" name="quantity" value="1" />{/if}
						<span class="min-w-0 flex-1">{lookFor}</span>
					</form>
				</li>
			{/each}
		</ul>
		<button type="button" class="btn mt-3 btn-ghost btn-sm" onclick={() => skipped.add(current.key)}
			><kbd class="kbd kbd-sm max-sm:hidden">k</kbd>I cannot tell now</button
		>
	</section>
	{#each places as [place, lines] (place)}
		<h2 class="mb-1 font-serif text-lg">{place}</h2>
		<ul class="mb-5 max-w-3xl">
			{#each lines as { key, number, title, finish, release, quantity, printings } (key)}
				<li class="flex flex-wrap gap-x-3 border-t border-base-300 py-1">
					<strong class="w-12 shrink-0 text-right">{number ?? ''}</strong>
					<span class="min-w-0 flex-1"
						>{[title, finish, release].filter(Boolean).join(', ')}{quantity > 1
							? ` × ${quantity}`
							: ''}</span
					>
					<span class="w-full pl-15 text-sm quiet sm:w-1/2 sm:pl-0"
						>{printings
							.slice(1)
							.map(({ name, lookFor }) => `${name}: ${lookFor}`)
							.join(' ')}</span
					>
				</li>
			{/each}
		</ul>
	{/each}
	{#if data.lines.length >= data.most}
		<p class="quiet">The first {data.most}; the next come when these are done.</p>
	{/if}
{:else}
	<p class="text-lg" data-testid="pass-done">
		{skipped.size > 0
			? `${countOf(skipped.size, 'card')} skipped; all others are looked at.`
			: data.release && !data.all
				? 'Of this release nothing waits to be looked at.'
				: 'Nothing waits to be looked at. Cards that come off a pile without a look come here.'}
	</p>
{/if}
