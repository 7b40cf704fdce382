<script lang="ts">
	import type { Evidence } from '$lib/core/checklist/confidence';
	import { formatCount } from '$lib/ui/numerals';

	/** How sure something is, whence that is known, and how many were looked at for it; nothing where nothing is said. */
	let { confidence, source, lookedAt, found }: Evidence = $props();
	const counted = $derived(
		lookedAt === undefined
			? ''
			: found === undefined
				? `${formatCount(lookedAt)} looked at`
				: `${formatCount(found)} of ${formatCount(lookedAt)} looked at had it`
	);
	/** What is certain goes without saying. */
	const doubt = $derived(confidence === 'certain' ? undefined : confidence);
	const text = $derived([doubt, counted, source].filter(Boolean).join(', '));
</script>

{#if text}<span class="block text-sm quiet">{text}</span>{/if}
