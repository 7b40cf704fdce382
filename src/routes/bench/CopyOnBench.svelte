<script lang="ts">
	import type { FormAnswer } from '$lib/ui/form-answer';
	import { resolve } from '$app/paths';
	import type { BenchView } from '$lib/server/bench/bench-view';
	import type { ScanBook } from './scan-book.svelte';
	import ScanDesk from './ScanDesk.svelte';
	import { createSheetBook } from './sheet-book.svelte';
	import WorksheetForm from './WorksheetForm.svelte';

	interface Props {
		view: BenchView;
		copy: NonNullable<BenchView['copy']>;
		scan: ScanBook;
		answer: FormAnswer;
	}
	/** A copy that lies on the bench: measured on a picture, judged by its worksheet. */
	let { view, copy, scan, answer }: Props = $props();
	const sheet = createSheetBook(() => view);
	function use(side: 'front' | 'back') {
		const { centring, size } = scan;
		if (!centring) return;
		sheet.takeCentring(side, centring);
		if (size) {
			sheet.setSize({ widthMm: size.widthMm.toFixed(1), heightMm: size.heightMm.toFixed(1) });
		}
	}
</script>

<p class="mb-4 text-lg">
	<a
		class="prose-link"
		href={resolve('/releases/[release]/cards/[card]', {
			release: copy.releaseKey,
			card: copy.cardKey
		})}>{copy.name}</a
	><span class="quiet"
		>, {copy.release}{copy.quantity > 1 ? `, a pile of ${copy.quantity}` : ''}{copy.grade === null
			? copy.condition
				? `, ${copy.condition}`
				: ''
			: `, ${copy.house ?? ''} ${copy.grade}`}</span
	>
</p>
<ScanDesk book={scan} photos={copy.photos} {use} />
<WorksheetForm
	{copy}
	rules={view.rules}
	book={sheet}
	picture={scan.picture?.file ?? null}
	{answer}
/>
<p class="mt-4 flex flex-wrap gap-x-6">
	<a class="prose-link" href={resolve('/bench/worksheets')}>All worksheets and fault rates</a>
	<a class="prose-link" href="{resolve('/bench/grading')}?copy={copy.id}">Send it to a house</a>
	<a class="prose-link" href="{resolve('/selling')}?copy={copy.id}">Offer it</a>
</p>
