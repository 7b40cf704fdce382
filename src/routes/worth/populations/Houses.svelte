<script lang="ts">
	import type { Problem } from '$lib/core/problem';
	import { formatHouseGrades } from '$lib/core/worth/population/house-grades';
	import type { PopulationsView } from '$lib/server/worth/populations/populations-view';
	import Field from '$lib/ui/Field.svelte';
	import { enhance } from '$lib/ui/form-actions';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	interface Props {
		houses: PopulationsView['houses'];
		problems: readonly Problem[] | undefined;
		told: string;
	}
	/** Houses that grade, with the grades they give: a grade that a house does not have is named as a slip. */
	let { houses, problems, told }: Props = $props();
</script>

<details class="mt-4 max-w-4xl" open={problems !== undefined || told !== ''}>
	<summary class="cursor-pointer font-serif text-lg">Houses that grade ({houses.length})</summary>
	<ul class="mt-1">
		{#each houses as house (house.id)}
			<li class="flex flex-wrap items-center gap-2 border-t border-base-300 py-1">
				<span class="font-semibold">{house.name}</span>
				<span class="text-sm quiet"
					>{formatHouseGrades(house.grades)}{house.givesAuthentic ? ', authentic' : ''}</span
				>
				<form method="POST" action="?/dropHouse" use:enhance>
					<input type="hidden" name="house" value={house.id} />
					<button class="btn btn-ghost btn-xs" aria-label="Remove {house.name}">Remove</button>
				</form>
			</li>
		{:else}
			<li class="quiet">None is kept: any name and every half grade is taken.</li>
		{/each}
	</ul>
	<form
		method="POST"
		action="?/house"
		class="mt-2 flex flex-wrap items-end gap-3"
		use:enhance={() =>
			async ({ result, update }) =>
				update({ reset: result.type === 'success' })}
	>
		<Field label="Name"><input name="name" class="input w-56 input-sm" /></Field>
		<Field label="Grades it gives"
			><input
				name="grades"
				class="input w-72 input-sm"
				placeholder="all halves from 10 to 1"
			/></Field
		>
		<label class="flex items-center gap-2"
			><input
				type="checkbox"
				name="givesAuthentic"
				value="yes"
				class="checkbox checkbox-sm"
				checked
			/> gives “authentic”</label
		>
		<button class="btn btn-sm">Keep</button>
		<span class="text-sm" aria-live="polite">{told}</span>
	</form>
	<ProblemAlert {problems} class="mt-2" />
</details>
