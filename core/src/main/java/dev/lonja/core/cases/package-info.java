/** Saying something for every case of a sealed type, with none left out. */
package dev.lonja.core.cases;
