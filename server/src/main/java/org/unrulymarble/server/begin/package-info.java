/** From an empty house to a lesson: a class, a place, what is in the cupboard, and a proposal. */
package org.unrulymarble.server.begin;
