/**
 * What happened on the demo's shelves before today. Start with {@link
 * dev.lonja.app.demo.shelf.DemoShelves}.
 */
@NullMarked
package dev.lonja.app.demo.shelf;

import org.jspecify.annotations.NullMarked;
