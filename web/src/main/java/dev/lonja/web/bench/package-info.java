/**
 * The Bench page, which plays the outside devices so that everything can be tried with nothing
 * attached. Start with {@link dev.lonja.web.bench.BenchController}.
 */
@NullMarked
package dev.lonja.web.bench;

import org.jspecify.annotations.NullMarked;
