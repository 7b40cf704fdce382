<script lang="ts">
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import type { GoalChoice } from '$lib/core/goal/goal-rules';
	import { createReport } from '$lib/ui/change-report.svelte';
	import EmptyCollection from '$lib/ui/EmptyCollection.svelte';
	import { refreshCopies } from '$lib/ui/refresh';
	import { send } from '$lib/ui/send';
	import RulesForm from '../RulesForm.svelte';
	import ReleaseSelect from '$lib/ui/ReleaseSelect.svelte';
	import Field from '$lib/ui/Field.svelte';

	let { data } = $props();
	const report = createReport();

	async function save(name: string, rules: GoalChoice) {
		const body = { release: data.options?.release.key ?? '', name, rules };
		const outcome = await report.of(send<{ id: number }>('POST', '/api/goals', body));
		if (!outcome.ok) return;
		await refreshCopies();
		await goto(resolve('/goals/[goal=id]', { goal: String(outcome.value.id) }));
	}
</script>

<svelte:head><title>Make a goal · Jade Binder</title></svelte:head>

{#if !data.options}
	<EmptyCollection title="No release to make a goal of" />
{:else}
	{@const options = data.options}
	<h1 class="mt-4 mb-6">What does complete mean?</h1>
	<Field label="Release" class="mb-6 max-w-md">
		<ReleaseSelect
			chosen={options.release}
			choose={(key) => goto(resolve(`/goals/new?release=${encodeURIComponent(key)}`))}
		/>
	</Field>
	{#key options.release.key}
		<RulesForm {options} problems={report.problems} {save} saveName="Make the goal" />
	{/key}
{/if}
