/**
 * What is started: the server with its wiring, the command line, schedules, simulated outside
 * things, the demo store. Start with {@link dev.lonja.app.command.LonjaCommand} and {@link
 * dev.lonja.app.LonjaApplication}.
 */
@NullMarked
package dev.lonja.app;

import org.jspecify.annotations.NullMarked;
