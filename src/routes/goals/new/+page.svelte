<script lang="ts">
	import { enhance } from '$app/forms';
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import EmptyCollection from '$lib/ui/EmptyCollection.svelte';
	import { formatCount } from '$lib/ui/numerals';
	import ProblemList from '$lib/ui/ProblemList.svelte';

	let { data, form } = $props();
	let preset = $state('complete');
	let parallel = $state('');
	const chosenParallel = $derived(
		data.release?.parallels.find(({ key }) => key === parallel) ?? data.release?.parallels[0]
	);
</script>

<svelte:head><title>Make a goal · Jade Binder</title></svelte:head>

{#if !data.release}
	<EmptyCollection title="No release to make a goal of" />
{:else}
	<h1 class="mt-4 mb-6">What does complete mean?</h1>
	{#if form?.problems}<div class="mb-6" role="alert">
			<ProblemList problems={form.problems} />
		</div>{/if}
	<form method="POST" class="max-w-3xl" use:enhance>
		<label class="mb-6 block max-w-md">
			<span class="block text-sm quiet">Release</span>
			<select
				class="select w-full"
				name="release"
				value={data.release.key}
				onchange={(event) =>
					goto(resolve(`/goals/new?release=${encodeURIComponent(event.currentTarget.value)}`))}
			>
				{#each data.releases as { key, name } (key)}<option value={key}>{name}</option>{/each}
			</select>
		</label>
		<fieldset class="mb-6">
			<legend class="sr-only">School</legend>
			{#each data.release.presets as { key, name, meaning, slots, finishes } (key)}
				{@const count = finishes === 'chosen' ? (chosenParallel?.slots ?? 0) : (slots ?? 0)}
				<label
					class="grid cursor-pointer grid-cols-[auto_1fr_auto] items-baseline gap-x-4 border-b border-base-300 px-3 py-3 has-[input:checked]:bg-base-200"
				>
					<input
						type="radio"
						class="radio self-center radio-sm radio-primary"
						name="preset"
						value={key}
						bind:group={preset}
						disabled={count === 0}
					/>
					<span
						><span class="font-semibold">{name}</span>
						<span class="block quiet">{meaning}</span></span
					>
					<span class="text-right"
						><strong class="font-serif text-2xl font-medium">{formatCount(count)}</strong>
						<span class="quiet">{count === 1 ? 'slot' : 'slots'}</span></span
					>
					{#if finishes === 'chosen' && data.release.parallels.length > 0}
						<select
							class="select col-start-2 mt-2 max-w-56 select-sm"
							name="parallel"
							aria-label="Parallel"
							value={chosenParallel?.key}
							onchange={(event) => {
								parallel = event.currentTarget.value;
								preset = 'parallel-run';
							}}
						>
							{#each data.release.parallels as { key: option, name: label } (option)}
								<option value={option}>{label}</option>
							{/each}
						</select>
					{/if}
				</label>
			{/each}
		</fieldset>
		<label class="mb-6 block max-w-md">
			<span class="block text-sm quiet">Name, if you like</span>
			<input class="input w-full" name="name" maxlength="200" />
		</label>
		<button class="btn btn-primary">Make the goal</button>
	</form>
{/if}
