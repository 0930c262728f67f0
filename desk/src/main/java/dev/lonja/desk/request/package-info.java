/**
 * Requests that change something: carried out once, in one transaction, whoever sends them. Start
 * with {@link dev.lonja.desk.request.OnceOnly}. Depends on no other desk.
 */
@NullMarked
package dev.lonja.desk.request;

import org.jspecify.annotations.NullMarked;
