/**
 * The application: pages, security, command line and demo store. Start with {@link
 * dev.lonja.web.LonjaApplication} for the server and {@code command.LonjaCommand} for the command
 * line. A page lives in the package of its feature: a controller that routes, a desk that opens the
 * transaction and holds the permission check, and view records with everything already in words.
 */
@NullMarked
package dev.lonja.web;

import org.jspecify.annotations.NullMarked;
