/**
 * Find: any number, machine or bin as typed or scanned. Start with {@link
 * dev.lonja.web.find.FindController}.
 */
@NullMarked
package dev.lonja.web.find;

import org.jspecify.annotations.NullMarked;
