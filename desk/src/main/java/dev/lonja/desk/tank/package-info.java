/**
 * What may be asked of tanks and done with them. Start with {@link dev.lonja.desk.tank.TankDesk}.
 */
@NullMarked
package dev.lonja.desk.tank;

import org.jspecify.annotations.NullMarked;
