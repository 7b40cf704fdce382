import ipaddr from 'ipaddr.js';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';

/** Wrong passphrases from one address until it has to wait, and how long. Published: NIST SP 800-63B, section 5.2.2 (at most 100). */
export const MOST_ATTEMPTS = 5;
const WAIT_SECONDS = 15 * 60;
/** To check one takes 19 MB and a core for some 20 ms. */
const MOST_AT_ONCE = 8;

/** Whether a passphrase is looked at; otherwise after how many seconds it may be tried again. */
export type Admission =
	| { readonly ok: true; readonly succeeded: () => Promise<unknown>; readonly end: () => void }
	| { readonly ok: false; readonly seconds: number };

/** Counts who tries: each asks before a passphrase is looked at, so that a hundred at once are counted, too. */
export function createAttempts() {
	const limiter = new RateLimiterMemory({
		...{ points: MOST_ATTEMPTS, duration: WAIT_SECONDS, blockDuration: WAIT_SECONDS }
	});
	let underWay = 0;
	return async function ask(address: string): Promise<Admission> {
		if (underWay >= MOST_AT_ONCE) return { ok: false, seconds: 1 };
		const from = networkOf(address);
		underWay++;
		try {
			await limiter.consume(from);
		} catch (refusal) {
			underWay--;
			if (!(refusal instanceof RateLimiterRes)) throw refusal;
			return { ok: false, seconds: Math.ceil(refusal.msBeforeNext / 1000) };
		}
		return {
			ok: true,
			succeeded: () => limiter.delete(from),
			end: () => underWay--
		};
	};
}

/** Who has one IPv6 address has all of its network of 64 bits. */
function networkOf(address: string): string {
	if (!ipaddr.isValid(address)) return address;
	const parsed = ipaddr.process(address);
	return parsed instanceof ipaddr.IPv6 ? parsed.parts.slice(0, 4).join(':') : parsed.toString();
}
