/** What came into the demo's tanks, was poured and was dipped. */
@NullMarked
package dev.lonja.app.demo.bulk;

import org.jspecify.annotations.NullMarked;
