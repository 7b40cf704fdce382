<script lang="ts">
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { resolve } from '$app/paths';
	import type { GoalChoice } from '$lib/core/goal/goal-rules';
	import { createReport } from '$lib/ui/change-report.svelte';
	import { refreshCopies } from '$lib/ui/refresh';
	import { send } from '$lib/ui/send';
	import RulesForm from '../../RulesForm.svelte';

	let { data } = $props();
	const report = createReport();
	/** As it was when the page came: another window may decide it anew meanwhile. */
	const seen = untrack(() => ({ name: data.goal.name, rules: data.goal.rules }));

	async function save(name: string, rules: GoalChoice) {
		const body = { release: data.options.release.key, name, rules, seen };
		const outcome = await report.of(send('PUT', `/api/goals/${data.goal.id}`, body));
		if (!outcome.ok) return;
		await refreshCopies();
		await goto(resolve('/goals/[goal=id]', { goal: String(data.goal.id) }));
	}
</script>

<svelte:head><title>Rules of {data.goal.name} · Jade Binder</title></svelte:head>

<h1 class="mt-4 mb-6">What does complete mean?</h1>
<RulesForm
	options={data.options}
	start={data.goal}
	problems={report.problems}
	{save}
	saveName="Save the rules"
/>
