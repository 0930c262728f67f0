/** Studies of the least set of products. Start with {@link dev.lonja.web.study.StudyController}. */
@NullMarked
package dev.lonja.web.study;

import org.jspecify.annotations.NullMarked;
