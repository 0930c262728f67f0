/**
 * The pages that lead in, and the brake on guessing. Start with {@link
 * dev.lonja.web.sign.SignInController}.
 */
@NullMarked
package dev.lonja.web.sign;

import org.jspecify.annotations.NullMarked;
