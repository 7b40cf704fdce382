<script lang="ts">
	import { untrack } from 'svelte';
	import { createReport } from '$lib/ui/change-report.svelte';
	import { countOf } from '$lib/ui/numerals';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import { refreshCopies } from '$lib/ui/refresh';
	import { send } from '$lib/ui/send';

	/** Whether stalls of it stand among the sellers, and how many orders are under way there. */
	let { isHere, orders = 0 }: { isHere: boolean; orders?: number } = $props();
	const report = createReport();
	let isBusy = $state(false);
	let isOpen = $state(untrack(() => orders > 0));

	async function change<Answer>(body: object, say: (answer: Answer) => string) {
		isBusy = true;
		await report.of(send<Answer>('POST', '/api/buying/market', body), { said: say });
		await refreshCopies();
		isBusy = false;
	}
	const ask = () =>
		change<{ sellers: number; offers: number }>(
			{ ask: true },
			({ sellers, offers }) => `${countOf(sellers, 'stall')}, ${countOf(offers, 'offer')}`
		);
	const wait = (days: number) =>
		change<{ day: number; moved: number }>(
			{ wait: days },
			({ day, moved }) => `Day ${day} of the market; ${countOf(moved, 'order')} moved on`
		);
	const leave = () => change({ leave: true }, () => 'Its stalls are gone; undo brings them back.');
</script>

<details class="mt-3" bind:open={isOpen}>
	<summary class="font-semibold">The practice market</summary>
	<p class="my-1 max-w-2xl text-sm quiet">
		A market that is simulated here, to try plans and orders without spending: four invented stalls
		offer what is wanted, take orders, and move them by a clock of their own.
	</p>
	<div class="flex flex-wrap items-center gap-2">
		<button class="btn btn-sm" disabled={isBusy} onclick={() => void ask()}
			>Ask what it offers</button
		>
		{#if isHere}
			<button class="btn btn-sm" disabled={isBusy} onclick={() => void wait(1)}>A day passes</button
			>
			<button class="btn btn-sm" disabled={isBusy} onclick={() => void wait(7)}
				>A week passes</button
			>
			<button class="btn btn-ghost btn-sm" disabled={isBusy} onclick={() => void leave()}
				>Leave it</button
			>
		{/if}
		<span role="status" class="text-sm text-primary">{report.told}</span>
	</div>
	<ProblemAlert problems={report.problems} class="mt-2" />
</details>
