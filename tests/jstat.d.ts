/** What the tests use of the statistics package. */
declare module 'jstat' {
	const jstat: {
		readonly binomial: {
			pdf(k: number, n: number, p: number): number;
			cdf(k: number, n: number, p: number): number;
		};
		readonly hypgeom: { pdf(h: number, n: number, marked: number, k: number): number };
		readonly beta: { inv(p: number, alpha: number, beta: number): number };
	};
	export default jstat;
}
