/**
 * How this store does things: its school of service intervals, and the way to the stand-ins for
 * outside devices. Start with {@link dev.lonja.web.setup.SetupDesk}.
 */
@NullMarked
package dev.lonja.web.setup;

import org.jspecify.annotations.NullMarked;
