/**
 * Benchmarks with their bases, each measured in the same run; docs/performance.md holds the figures and how to repeat
 * them. Start with {@link ableschema.bench.SheetBenchmark}.
 */
@NullMarked
package ableschema.bench;

import org.jspecify.annotations.NullMarked;
