/** Games with rules: nearest the jack, bowling to a batter. */
package org.unrulymarble.core.games;
