/**
 * What reaches the store from outside: small interfaces, and the simulated stand-ins that ship.
 * Start with {@link dev.lonja.web.device.MeterFeed}. Depends on no other feature.
 */
@NullMarked
package dev.lonja.web.device;

import org.jspecify.annotations.NullMarked;
