/**
 * The demo store: a made-up harbour with its machines, shelves and history. Start with {@link
 * dev.lonja.app.demo.DemoStore}.
 */
@NullMarked
package dev.lonja.app.demo;

import org.jspecify.annotations.NullMarked;
