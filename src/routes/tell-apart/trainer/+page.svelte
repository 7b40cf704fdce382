<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { resolve } from '$app/paths';
	import { LOOKS } from '$lib/core/checklist/tell';
	import { createReport } from '$lib/ui/change-report.svelte';
	import CardPicture from '$lib/ui/card-picture/CardPicture.svelte';
	import { formatDay } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import { refreshJournal } from '$lib/ui/refresh';
	import { send } from '$lib/ui/send';

	let { data } = $props();
	let place = $state(0);
	let chosen = $state<string | null>(null);
	let right = $state(0);
	const report = createReport();
	const round = $derived(data.rounds[place]);
	const isRight = $derived(chosen !== null && chosen === round?.answer);
	const weak = $derived(
		[...data.scores].sort((a, b) => a.right / a.asked - b.right / b.asked || b.asked - a.asked)
	);

	async function answer(key: string) {
		if (!round || chosen !== null) return;
		chosen = key;
		if (key === round.answer) right += 1;
		const [first, second] = round.choices.map((each) => each.key);
		const body = { first, second, isRight: key === round.answer };
		await report.of(send('POST', '/api/trainer', body));
		await refreshJournal();
	}
	function next() {
		chosen = null;
		place += 1;
	}
	async function again() {
		await invalidateAll();
		place = 0;
		right = 0;
		chosen = null;
	}
	function onkeydown(event: KeyboardEvent) {
		if (!round || event.ctrlKey || event.altKey || event.metaKey) return;
		if (chosen === null && (event.key === '1' || event.key === '2')) {
			void answer(round.choices[event.key === '1' ? 0 : 1].key);
		} else if (chosen !== null && event.key === 'Enter' && event.target === document.body) next();
		else return;
		event.preventDefault();
	}
</script>

<svelte:head><title>Trainer · Jade Binder</title></svelte:head>
<svelte:window {onkeydown} />

<h1 class="mb-2">Trainer</h1>
<ProblemAlert problems={report.problems} class="mb-4" />
{#if round}
	<p class="mb-3 quiet" aria-live="polite">
		{place + 1} of {data.rounds.length}{place > 0 ? `, ${right} right so far` : ''}
	</p>
	<section class="mb-8 max-w-3xl" aria-label="Which one is it" data-testid="round">
		<div class="mb-4 flex gap-6">
			<span class="w-28 shrink-0"
				><CardPicture
					seed={round.choices.map(({ key }) => key).join(' ')}
					title=""
					group=""
					finish={null}
				/></span
			>
			<dl class="text-lg">
				{#each round.seen as { feature, value, where } (feature)}
					<dt class="text-sm quiet first-letter:uppercase">{LOOKS[where].words}: {feature}</dt>
					<dd class="mb-2 font-semibold">{value}</dd>
				{/each}
			</dl>
		</div>
		<div class="flex flex-wrap gap-3">
			{#each round.choices as { key, name, release }, i (key)}
				<button
					type="button"
					class={[
						'btn h-auto min-h-14 py-2 text-left',
						chosen !== null && key === round.answer && 'btn-primary',
						chosen === key && !isRight && 'btn-error'
					]}
					aria-pressed={chosen === key}
					disabled={chosen !== null && key !== round.answer && key !== chosen}
					onclick={() => answer(key)}
				>
					<kbd class="kbd kbd-sm max-sm:hidden">{i + 1}</kbd>
					<span>{name}<span class="block text-sm font-normal">{release}</span></span>
				</button>
			{/each}
		</div>
		{#if chosen !== null}
			<p class="mt-4 text-lg" role="status">
				{isRight ? 'Right.' : 'No.'}
				{#each round.settles as { feature, values } (feature)}
					<span class="block text-base"
						>{feature}: {round.choices
							.map(({ name }, i) => `${values[i] ?? 'not known'} (${name})`)
							.join(', ')}</span
					>
				{/each}
			</p>
			<button type="button" class="btn mt-3 btn-primary" onclick={next}
				>Go on <kbd class="kbd kbd-sm text-base-content max-sm:hidden">Enter</kbd></button
			>
		{/if}
	</section>
{:else if data.rounds.length > 0}
	<p class="mb-3 text-lg" role="status">
		{right} of {data.rounds.length} right. What was wrong comes again soon, what was right later.
	</p>
	<button type="button" class="btn mb-8 btn-primary" onclick={again}>Another sitting</button>
{:else}
	<p class="mb-8 max-w-2xl">
		{data.scores.length > 0 ? 'Nothing is due today. ' : ''}The trainer asks for look-alikes with
		known tells:
		<a class="prose-link" href={resolve('/tell-apart')}>keep some as easily mistaken</a>, or record
		tells of a release’s finishes.
	</p>
{/if}
{#if weak.length > 0}
	<section class="max-w-3xl" aria-labelledby="scores">
		<h2 id="scores" class="mb-1">How well you know them</h2>
		<ul>
			{#each weak as { first, second, asked, right: good, dueAt } (`${first.key} ${second.key}`)}
				<li class="flex flex-wrap items-center gap-x-4 border-t border-base-300 py-1.5">
					<span class="min-w-0 flex-1">{first.name} or {second.name}, {first.release}</span>
					<progress
						class="progress w-24 progress-primary"
						value={good}
						max={asked}
						aria-hidden="true"
					></progress>
					<span class="w-20 text-right">{good} of {asked}</span>
					<span class="w-28 text-right text-sm quiet"
						>{dueAt === null || dueAt <= data.at ? 'due' : `on ${formatDay(dueAt)}`}</span
					>
				</li>
			{/each}
		</ul>
	</section>
{/if}
