/** Pages of what would be if some things were otherwise. */
@NullMarked
package dev.lonja.web.whatif;

import org.jspecify.annotations.NullMarked;
