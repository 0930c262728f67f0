/** Pages of tanks. Start with {@link dev.lonja.web.tank.TankController}. */
@NullMarked
package dev.lonja.web.tank;

import org.jspecify.annotations.NullMarked;
