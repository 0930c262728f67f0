/**
 * The simulated stand-ins that ship. Start with {@link dev.lonja.app.device.SimulatedMeterFeed}.
 */
@NullMarked
package dev.lonja.app.device;

import org.jspecify.annotations.NullMarked;
