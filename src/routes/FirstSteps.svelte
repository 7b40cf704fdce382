<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import { resolve } from '$app/paths';
	import type { TourStep } from '$lib/server/tour/tour';
	import { enhance } from '$lib/ui/form-actions';

	/** The first steps of a newcomer: each is done by doing it. */
	let { done }: { done: ReadonlySet<TourStep> } = $props();
	const STEPS = [
		{
			step: 'learn',
			name: 'Learn a release',
			how: 'Bring its checklist as a file, sketch it in an outline, or load the sample.',
			path: '/releases/import',
			go: 'Bring one in'
		},
		{
			step: 'decide',
			name: 'Decide what complete means',
			how: 'Base only, with inserts, every parallel: a goal says it, and knows what is missing.',
			path: '/goals/new',
			go: 'Make a goal'
		},
		{
			step: 'log',
			name: 'Log what is there',
			how: 'Type 1-20 25 on the entry line, tap tiles on the wall, or take cards off a pile. Ctrl Z takes any of it back.',
			path: '/log',
			go: 'To the log'
		},
		{
			step: 'house',
			name: 'Give it a place',
			how: 'Plan a binder page by page, or have boxes planned with dividers and labels.',
			path: '/binders',
			go: 'Make a binder'
		},
		{
			step: 'buy',
			name: 'Buy the rest',
			how: 'Choose the goals that are to be finished: one list of wants, with the most to pay.',
			path: '/buying',
			go: 'See what finishing takes'
		}
	] as const satisfies readonly { readonly step: TourStep; readonly [field: string]: string }[];
	const next = $derived(STEPS.find(({ step }) => !done.has(step))?.step);
</script>

<section class="mt-8 mb-8 max-w-2xl border-l-3 border-primary pl-4" aria-labelledby="first-steps">
	<div class="flex flex-wrap items-baseline justify-between gap-x-4">
		<h2 id="first-steps" class="text-lg">First steps</h2>
		<form method="POST" action="/?/tour" use:enhance>
			<button class="btn btn-ghost btn-sm">I know my way</button>
		</form>
	</div>
	<ol>
		{#each STEPS as { step, name, how, path, go }, i (step)}
			{@const isDone = done.has(step)}
			<li
				class="flex gap-3 border-t border-base-300 py-2"
				aria-current={step === next ? 'step' : undefined}
			>
				<span
					class={[
						'grid size-7 shrink-0 place-items-center rounded-full',
						isDone ? 'bg-primary text-primary-content' : 'border border-base-content/40'
					]}
					>{#if isDone}<Check class="size-4" aria-hidden="true" /><span class="sr-only">done</span
						>{:else}{i + 1}{/if}</span
				>
				<div class="min-w-0 flex-1">
					<strong class={['font-semibold', isDone && 'quiet']}>{name}</strong>
					{#if !isDone}<p class="quiet">{how}</p>{/if}
					{#if step === next}
						<a class="btn mt-1 btn-primary btn-sm" href={resolve(path)}>{go}</a>
					{/if}
				</div>
			</li>
		{/each}
	</ol>
</section>
