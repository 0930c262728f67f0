/**
 * What happened at the demo's counter in the last two weeks: trays in every state, what they found
 * and what is wanted since. Start with {@link dev.lonja.app.demo.counter.DemoCounter}.
 */
@NullMarked
package dev.lonja.app.demo.counter;

import org.jspecify.annotations.NullMarked;
