/**
 * Requests that change something: carried out once, or refused with every reason. Start with {@link
 * dev.lonja.desk.request.OnceOnly}.
 */
@NullMarked
package dev.lonja.web.request;

import org.jspecify.annotations.NullMarked;
