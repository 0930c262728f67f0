/**
 * What happened to the demo's machines before today. Start with {@link
 * dev.lonja.app.demo.history.DemoHistory}.
 */
@NullMarked
package dev.lonja.app.demo.history;

import org.jspecify.annotations.NullMarked;
