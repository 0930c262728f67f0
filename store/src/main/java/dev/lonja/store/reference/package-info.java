/**
 * The public reference data that ship, and where this store departs from them. Start with {@link
 * dev.lonja.store.reference.ReferenceRepository}.
 */
@NullMarked
package dev.lonja.store.reference;

import org.jspecify.annotations.NullMarked;
