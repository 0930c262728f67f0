/**
 * Answers of desks that stay until something is written. Start with {@link
 * dev.lonja.desk.answer.KeptAnswer}; it must not know any desk.
 */
@NullMarked
package dev.lonja.desk.answer;

import org.jspecify.annotations.NullMarked;
