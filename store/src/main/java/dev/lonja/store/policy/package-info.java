/** The choices that were made where practitioners differ. */
@NullMarked
package dev.lonja.store.policy;

import org.jspecify.annotations.NullMarked;
