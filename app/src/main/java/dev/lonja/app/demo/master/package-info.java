/**
 * The demo's master data, as files of the exchange format. Start with {@link
 * dev.lonja.app.demo.master.DemoMaster}.
 */
@NullMarked
package dev.lonja.app.demo.master;

import org.jspecify.annotations.NullMarked;
