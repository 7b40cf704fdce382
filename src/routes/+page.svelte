<script lang="ts">
	import { resolve } from '$app/paths';
	import EmptyCollection from '$lib/ui/EmptyCollection.svelte';
	import FirstSteps from './FirstSteps.svelte';
	import GoalLine from '$lib/ui/GoalLine.svelte';
	import Reminders from './Reminders.svelte';
	import { countOf, formatMoment } from '$lib/ui/numerals';

	let { data } = $props();
</script>

<svelte:head><title>Desk · Jade Binder</title></svelte:head>

{#if data.releases === 0}
	<EmptyCollection title="A quiet desk" />
	{#if data.tour}<FirstSteps done={data.tour} />{/if}
{:else}
	<header class="mt-4 mb-6 flex flex-wrap items-center justify-between gap-4">
		<h1>Desk</h1>
		<a class="btn btn-primary" href={resolve('/log')}>Log copies</a>
	</header>
	{#if data.tour}<FirstSteps done={data.tour} />{/if}
	{#if data.goals.length === 0 && !data.tour}
		<p class="mb-4 max-w-xl text-lg">
			{countOf(data.releases, 'release')} in the collection, and no goal yet. Decide what complete means,
			and the desk shows how far you are.
		</p>
		<a class="btn btn-primary" href={resolve('/goals/new')}>Make a goal</a>
	{/if}
	<div class="grid gap-x-14 gap-y-10 lg:grid-cols-[1fr_15rem]">
		<ul class="divide-y divide-base-300">
			{#each data.goals as goal (goal.id)}
				<li>
					<GoalLine {goal} />
					<p class="-mt-2 pb-4 sm:pl-48">
						{#if goal.need > 0 && goal.have === goal.need}
							<span class="font-semibold text-accent">Complete.</span>
						{:else if goal.next}
							Next: <strong class="font-semibold">{goal.next.name}</strong>, {goal.next.left} to go<span
								class="quiet">{goal.next.left <= 24 ? `: ${goal.next.text}` : ''}</span
							>
							·
							<a
								class="prose-link"
								href={resolve(`/log?release=${encodeURIComponent(goal.releaseKey)}`)}>log</a
							>
						{:else}
							Nothing of it is here yet. <a
								class="prose-link"
								href={resolve(`/log?release=${encodeURIComponent(goal.releaseKey)}`)}
								>Log the first cards</a
							>
						{/if}
					</p>
				</li>
			{/each}
		</ul>
		<aside class="space-y-8">
			<Reminders out={data.out} low={data.low} />
			{#if data.binders.length > 0}
				<section>
					<h2 class="mb-2">Binders</h2>
					<ul class="space-y-1">
						{#each data.binders as { id, name } (id)}
							<li>
								<a class="prose-link" href={resolve('/binders/[binder=id]', { binder: String(id) })}
									>{name}</a
								>
							</li>
						{/each}
					</ul>
				</section>
			{/if}
			<section>
				<h2 class="mb-2">Last changes</h2>
				<ol class="space-y-2 text-sm">
					{#each data.steps as { id, label, at } (id)}
						<li class="wrap-break-word">
							<span class="line-clamp-2">{label}</span>
							<time class="block quiet" datetime={at}>{formatMoment(at)}</time>
						</li>
					{:else}
						<li class="quiet">None yet.</li>
					{/each}
				</ol>
			</section>
		</aside>
	</div>
{/if}
