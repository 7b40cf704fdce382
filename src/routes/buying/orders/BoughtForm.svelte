<script lang="ts">
	import Field from '$lib/ui/Field.svelte';
	import ProblemAlert from '$lib/ui/ProblemAlert.svelte';
	import type { OrderBook } from './order-book.svelte';

	interface Props {
		kind: 'pick-up' | 'bid';
		releases: readonly { readonly key: string; readonly name: string }[];
		currency: string;
		/** ISO 8601 day */
		today: string;
		book: OrderBook;
	}
	/** Something taken along on the spot, or a bid that stands. */
	let { kind, releases, currency, today, book }: Props = $props();
	const isBid = $derived(kind === 'bid');
	/** What is on its way to the server: the same twice is a slip of the finger, something else is not lost. */
	let underWay = '';
	async function submit(event: SubmitEvent & { currentTarget: HTMLFormElement }) {
		event.preventDefault();
		const form = event.currentTarget;
		const read = () => ({ ...Object.fromEntries(new FormData(form)), currency });
		const body = read();
		const said = JSON.stringify(body);
		if (said === underWay) return;
		underWay = said;
		const isDone = await (isBid ? book.bid(body) : book.pickUp(body));
		if (underWay === said) underWay = '';
		// What was typed meanwhile stays.
		if (isDone && JSON.stringify(read()) === said) form.reset();
	}
</script>

<form onsubmit={submit} class="my-2 flex flex-wrap items-end gap-3">
	<Field label="Release">
		<select name="release" class="select w-60 max-w-full select-sm" required>
			{#each releases as { key, name } (key)}<option value={key}>{name}</option>{/each}
		</select>
	</Field>
	<Field label={isBid ? 'Card' : 'Cards'}>
		<input
			name="line"
			class="input w-52 input-sm"
			required
			maxlength="2000"
			placeholder={isBid ? '27 nm' : '3 5x2 K4 nm'}
		/>
	</Field>
	{#if isBid}
		<Field label="The most you bid">
			<input name="most" class="input w-24 input-sm" inputmode="decimal" required />
		</Field>
		<Field label="Postage">
			<input name="postage" class="input w-24 input-sm" inputmode="decimal" placeholder="0" />
		</Field>
	{:else}
		<Field label="For, all together">
			<input name="total" class="input w-24 input-sm" inputmode="decimal" required />
		</Field>
		<Field label="Goes to the cards">
			<select name="by" class="select w-40 select-sm">
				<option value="share">by number</option>
				<option value="value">by the price book</option>
			</select>
		</Field>
	{/if}
	<Field label={isBid ? 'Where' : 'From whom'}>
		<input name="from" class="input w-48 input-sm" required maxlength="200" />
	</Field>
	<Field label={isBid ? 'Ends on' : 'On'}>
		<input
			type="date"
			name={isBid ? 'endsOn' : 'on'}
			class="input w-40 input-sm"
			required
			value={today}
		/>
	</Field>
	<Field label="Why">
		<input name="note" class="input w-56 input-sm" maxlength="2000" />
	</Field>
	<button class="btn btn-sm">{isBid ? 'Record the bid' : 'Record it'}</button>
	<ProblemAlert problems={book.problemsOf(kind)} class="w-full" />
</form>
