package isokinon.core.year;

import isokinon.core.life.frailty.JointLives;

/**
 * What is believed of a group of pumps in the year ahead.
 *
 * @param lives of the group
 * @param luck number of the luck that its pumps share; the same group in another plan has the same,
 *     so that both have the same luck
 */
public record Belief(JointLives lives, int luck) {}
