/** What would be if some things were otherwise; nothing of it is written. */
@NullMarked
package dev.lonja.desk.whatif;

import org.jspecify.annotations.NullMarked;
