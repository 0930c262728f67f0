/**
 * How the server guards its doors. Start with {@link dev.lonja.app.server.SecurityConfiguration}.
 */
@NullMarked
package dev.lonja.app.server;

import org.jspecify.annotations.NullMarked;
