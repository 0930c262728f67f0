/**
 * What there is to choose from: packs on offer, the least set of products, the change-over to it.
 * Start with {@link dev.lonja.desk.choice.StudyMaker}.
 */
@NullMarked
package dev.lonja.desk.choice;

import org.jspecify.annotations.NullMarked;
