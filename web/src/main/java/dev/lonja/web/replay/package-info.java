/** Pages of the past stepped through again. */
@NullMarked
package dev.lonja.web.replay;

import org.jspecify.annotations.NullMarked;
