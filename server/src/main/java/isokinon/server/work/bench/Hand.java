package isokinon.server.work.bench;

import isokinon.core.rules.Actor;

/**
 * Who does something at the bench, and where.
 *
 * @param actor the person who answers for it
 * @param device what the device is called; with the person whose session it is, where another signs
 * @param signed whether the person gave a PIN for this very act
 */
public record Hand(Actor actor, String device, boolean signed) {}
