<script lang="ts">
	import { onMount } from 'svelte';
	import { act } from '$lib/ui/form-actions';
	import { refreshAll } from '$lib/ui/refresh';
	import { namePile } from '$lib/core/storage/sorting/deal-passes';
	import { stepPiles } from '$lib/core/storage/sorting/sorting-steps';
	import type { SortingSlip } from '$lib/server/storage/sorting/sorting';
	import { countOf } from '$lib/ui/numerals';
	import { HAND_WORK, WAY_NAMES } from './way-names';

	interface Props {
		slip: SortingSlip & { readonly name: string; readonly numbers: readonly string[] };
	}
	let { slip }: Props = $props();
	let now = $state(0);
	onMount(() => {
		const tick = () => (now = Date.now());
		tick();
		const timer = setInterval(tick, 500);
		return () => clearInterval(timer);
	});
	let problem = $state('');
	type Step = SortingSlip['steps'][number];
	const elapsed = ({ seconds, startedAt }: Step) =>
		seconds + (startedAt === null ? 0 : Math.max(0, (now - Date.parse(startedAt)) / 1000));
	const clock = (seconds: number) =>
		`${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;
	const passes = $derived(
		stepPiles(
			slip.way,
			slip.steps.map(({ piles }) => piles),
			slip.numbers
		)
	);
	/** A number looked up: on which pile of the step that is under way it goes. */
	let sought = $state('');
	const current = $derived(slip.steps.findIndex(({ isDone }) => !isDone));

	const pileOf = $derived(
		(passes[current] ?? []).findIndex((pile) =>
			pile.some((number) => number.toLowerCase() === sought.trim().toLowerCase())
		)
	);

	async function save(steps: readonly Step[] | null, finished?: number) {
		const { release, cards, way } = slip;
		const result = await act('?/save', {
			slip: JSON.stringify(steps && { release, cards, way, steps }),
			...(finished === undefined ? {} : { finished: String(finished) })
		});
		problem = result.type === 'success' ? '' : 'It was not kept: reload the page and try again.';
		await refreshAll();
	}
	function change(at: number, isDone: boolean) {
		const steps = slip.steps.map((step, i) => {
			if (i !== at) return step;
			const isRunning = step.startedAt !== null;
			if (!isDone && !isRunning) return { ...step, startedAt: new Date().toISOString() };
			now = Date.now();
			return { ...step, seconds: Math.round(elapsed(step) * 10) / 10, startedAt: null, isDone };
		});
		void save(steps, isDone ? at : undefined);
	}
</script>

<section class="mb-8 max-w-4xl" aria-labelledby="slip">
	<div class="mb-2 flex flex-wrap items-end justify-between gap-3">
		<h2 id="slip">
			{slip.name}: {countOf(slip.cards, 'card')}
			<span class="quiet">· {WAY_NAMES[slip.way]}</span>
		</h2>
		<button class="btn btn-ghost btn-sm" onclick={() => save(null)}>Throw the slip away</button>
	</div>
	<ol aria-label="Sorting slip">
		{#each slip.steps as step, i (i)}
			<li class={['border-t border-base-300 py-3', step.isDone && 'quiet']}>
				<div class="flex flex-wrap items-center gap-3">
					<span class="w-6 text-right font-serif text-xl">{i + 1}</span>
					<strong class="font-semibold"
						>{step.piles > 0
							? `Deal on ${countOf(passes[i]?.length ?? step.piles, 'pile')}`
							: 'By hand'}</strong
					>
					<time class="text-2xl font-semibold" aria-label="Time of step {i + 1}"
						>{clock(elapsed(step))}</time
					>
					{#if step.isDone}<span>done</span>{:else if i === current}
						<button class="btn btn-sm" onclick={() => change(i, false)}
							>{step.startedAt === null ? (step.seconds > 0 ? 'Go on' : 'Start') : 'Pause'}</button
						>
						<button class="btn btn-primary btn-sm" onclick={() => change(i, true)}>Done</button>
					{/if}
				</div>
				{#if step.piles > 0}
					<ol class="mt-2 ml-9 flex flex-wrap gap-2" aria-label="Piles of step {i + 1}">
						{#each passes[i] ?? [] as pile, p (p)}
							<li
								class={[
									'border px-2.5 py-1',
									i === current && p === pileOf
										? 'border-primary bg-primary text-primary-content'
										: 'border-base-300 bg-base-200'
								]}
								title={pile.join(', ')}
							>
								<span class="mr-1 font-serif">{p + 1}</span>{namePile(pile, slip.numbers)}
							</li>
						{/each}
					</ol>
					{#if i === current}
						<label class="mt-2 ml-9 flex items-center gap-2"
							><span class="quiet">Which pile takes</span>
							<input
								class="input w-24 input-sm"
								bind:value={sought}
								placeholder="number"
								autocomplete="off"
							/>
							<strong class="font-semibold" role="status"
								>{pileOf >= 0 ? `pile ${pileOf + 1}` : sought.trim() ? 'none' : ''}</strong
							></label
						>
					{/if}
					<p class="mt-1 ml-9 text-sm quiet">
						Then lay the piles on each other, the first in front, and go on with the next step.
					</p>
				{:else}
					<p class="ml-9">{HAND_WORK[slip.way]}</p>
				{/if}
			</li>
		{/each}
	</ol>
	{#if problem}<p role="alert" class="text-error">{problem}</p>{/if}
	{#if current < 0}<p class="text-lg" role="status">Sorted. The times are kept as yours.</p>{/if}
</section>
