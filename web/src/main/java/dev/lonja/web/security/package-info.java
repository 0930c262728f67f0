/**
 * Who may sign in and what they may do. Start with {@link
 * dev.lonja.web.security.SecurityConfiguration}.
 */
@NullMarked
package dev.lonja.web.security;

import org.jspecify.annotations.NullMarked;
