<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import EmptyCollection from '$lib/ui/EmptyCollection.svelte';
	import { countOf } from '$lib/ui/numerals';
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	let { data, form } = $props();
</script>

<svelte:head><title>Binders · Jade Binder</title></svelte:head>

{#if data.releases === 0}
	<EmptyCollection title="No binder yet" />
{:else}
	<div class="mt-4 mb-6 flex flex-wrap items-end gap-x-6 gap-y-2">
		<h1>Binders</h1>
		<a class="prose-link" href={resolve('/binders/side-by-side')}>Side by side</a>
		<a class="prose-link" href={resolve('/binders/kinds')}>Pages and binders</a>
	</div>
	<ProblemAlert problems={form?.problems} class="mb-6" />
	<ul class="mb-10 flex flex-wrap gap-8">
		{#each data.binders as { id, name, held, pages, leaves, filled, pockets, room } (id)}
			<li class="w-60">
				<a
					class="group block"
					href={resolve('/binders/[binder=id]', { binder: String(id) })}
					aria-label={name}
				>
					<span
						class="relative flex aspect-[5/6] flex-col justify-between rounded-sm bg-primary p-5 pl-10 text-primary-content group-hover:brightness-110"
					>
						<span class="absolute inset-y-0 left-0 w-5 bg-base-content/25" aria-hidden="true"
						></span>
						<span class="font-serif text-2xl leading-tight wrap-anywhere">{name}</span>
						<span
							><span class="font-serif text-4xl">{filled}</span>
							<span class="opacity-80">of {pockets}</span></span
						>
					</span>
				</a>
				<p class="mt-2 text-sm quiet">
					{held.map((goal) => goal.name).join(', ')} · {countOf(pages, 'page')} on {countOf(
						leaves,
						'leaf',
						'leaves'
					)}{#if room},
						{countOf(room.pagesFree, 'page')} free{/if}
				</p>
				{#if room && room.mayJoin.length > 0}
					<details class="mt-1 text-sm">
						<summary class="cursor-pointer quiet"
							>{countOf(room.mayJoin.length, 'goal')} may join</summary
						>
						<p class="mt-1">Without a binder, and would fit on the free pages:</p>
						<form
							method="POST"
							action="?/join"
							class="mt-1 flex flex-col items-start gap-1"
							use:enhance
						>
							<input type="hidden" name="binder" value={id} />
							{#each room.mayJoin as goal (goal.id)}
								<button class="btn h-auto py-1 text-left btn-xs" name="goal" value={goal.id}
									>{goal.name} joins</button
								>
							{/each}
						</form>
						<p class="mt-1">
							{#if room.fullest.length > 0 && room.fullest.length < room.mayJoin.length}
								{room.fullest.length === 1
									? `Not all at once: ${room.fullest[0]} fills it best.`
									: `Not all at once: ${room.fullest.join(' and ')} fill it best.`}
							{/if}
						</p>
					</details>
				{/if}
			</li>
		{/each}
	</ul>
	{#if data.goals.length === 0}
		<p class="mb-4 max-w-xl text-lg">
			A binder is planned from a goal: every slot gets its pocket, filled or not.
		</p>
		<a class="btn btn-primary" href={resolve('/goals/new')}>Make a goal</a>
	{:else}
		<form method="POST" action="?/plan" class="flex flex-wrap items-end gap-3" use:enhance>
			<Field label="Plan a binder for">
				<select class="select w-72" name="goal">
					{#each data.goals as { id, name } (id)}<option value={id}>{name}</option>{/each}
				</select>
			</Field>
			<Field label="Name, if you like">
				<input class="input w-56" name="name" maxlength="200" />
			</Field>
			<button class="btn btn-primary">Plan it</button>
		</form>
	{/if}
{/if}
