/** The copies of the store under Setup. Start with the controller. */
@NullMarked
package dev.lonja.web.backup;

import org.jspecify.annotations.NullMarked;
