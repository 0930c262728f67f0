/** Steps through the store's own past again, with the rules' orders. */
@NullMarked
package dev.lonja.desk.replay;

import org.jspecify.annotations.NullMarked;
