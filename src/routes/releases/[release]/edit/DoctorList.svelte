<script lang="ts">
	import { enhance } from '$lib/ui/form-actions';
	import { resolve } from '$app/paths';
	import type { Finding, Mend } from '$lib/core/checklist/doctor/finding';
	import type { Problem } from '$lib/core/problem';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';

	interface Props {
		/** Key of the release. */
		release: string;
		findings: readonly Finding[];
		problems: readonly Problem[];
	}
	let { release, findings, problems }: Props = $props();

	/** The part of the page that a finding without cards is about. */
	const placeOf = (pointer: string) => (pointer.startsWith('/variants') ? 'variants' : 'parts');

	const MENDS: Readonly<Record<Mend['kind'], string>> = {
		'add cards': 'Add them',
		'add variant': 'Record the other half',
		'remove parallel': 'Remove it',
		'remove variant': 'Remove it'
	};
</script>

<section class="mb-4" aria-labelledby="doctor">
	{#if findings.length === 0}
		<p class="text-sm quiet"><span id="doctor">Checklist doctor:</span> Nothing is out of place.</p>
	{:else}
		<h2 id="doctor" class="mb-2">Checklist doctor</h2>
		<ProblemAlert {problems} class="mb-3" />
		<ul class="divide-y divide-base-300" data-testid="findings">
			{#each findings as { code, weight, message, pointer, cards, mend }, i (i)}
				<li class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
					<span
						class={[
							'w-14 shrink-0 text-sm font-semibold',
							weight === 'wrong' ? 'text-error' : 'text-accent'
						]}>{weight}</span
					>
					<span class="min-w-0 flex-1 basis-72 wrap-break-word">
						{message}<span class="block text-sm quiet">{code}</span>
					</span>
					<a
						class="prose-link"
						href="{resolve('/releases/[release]', { release })}#{cards[0]
							? `card-${cards[0]}`
							: placeOf(pointer)}">show</a
					>
					{#if mend}
						<form method="POST" action="?/mend" use:enhance>
							<input type="hidden" name="message" value={message} />
							<button class="btn btn-sm">{MENDS[mend.kind]}</button>
						</form>
					{/if}
				</li>
			{/each}
		</ul>
	{/if}
</section>
