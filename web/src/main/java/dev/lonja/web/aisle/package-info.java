/**
 * Work without a network: what a browser in the aisle keeps, and how it sends what was done
 * meanwhile.
 */
@NullMarked
package dev.lonja.web.aisle;

import org.jspecify.annotations.NullMarked;
