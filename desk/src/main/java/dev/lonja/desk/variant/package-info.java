/**
 * Models with their variants, and classes of machines: what one of them is made of and is due for,
 * for all machines of it at once.
 */
@NullMarked
package dev.lonja.desk.variant;

import org.jspecify.annotations.NullMarked;
