/** Pages of counting. Start with {@link dev.lonja.web.count.CountController}. */
@NullMarked
package dev.lonja.web.count;

import org.jspecify.annotations.NullMarked;
