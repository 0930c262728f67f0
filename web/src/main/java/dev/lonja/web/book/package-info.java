/**
 * What happened to stock, and bookings over the counter. Start with {@link
 * dev.lonja.web.book.BookController}.
 */
@NullMarked
package dev.lonja.web.book;

import org.jspecify.annotations.NullMarked;
