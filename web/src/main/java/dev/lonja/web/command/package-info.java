/** The command line. Start with {@link dev.lonja.web.command.LonjaCommand}. */
@NullMarked
package dev.lonja.web.command;

import org.jspecify.annotations.NullMarked;
