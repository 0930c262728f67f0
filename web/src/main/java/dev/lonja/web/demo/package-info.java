/**
 * The demo store of the made-up Almadra Harbour Co-operative. Start with {@link
 * dev.lonja.web.demo.DemoStore}: it loads master data in the exchange format ({@link
 * dev.lonja.web.demo.DemoShelves}, {@link dev.lonja.web.demo.DemoFleet}) and then lets two months
 * happen ({@link dev.lonja.web.demo.DemoHistory}).
 */
@NullMarked
package dev.lonja.web.demo;

import org.jspecify.annotations.NullMarked;
