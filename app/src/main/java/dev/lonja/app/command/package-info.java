/** The command line. Start with {@link dev.lonja.app.command.LonjaCommand}. */
@NullMarked
package dev.lonja.app.command;

import org.jspecify.annotations.NullMarked;
