/** Where the demo's machines stand today. Start with {@link dev.lonja.app.demo.fleet.DemoFleet}. */
@NullMarked
package dev.lonja.app.demo.fleet;

import org.jspecify.annotations.NullMarked;
