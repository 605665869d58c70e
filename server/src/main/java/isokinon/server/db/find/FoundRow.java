package isokinon.server.db.find;

/**
 * Something that a word was found in.
 *
 * @param kind of what kind it is, as FindMapper names them
 * @param code what is on its label
 * @param title what it is called
 * @param beside what tells it from others
 * @param leads the tag or number under which it is opened
 */
public record FoundRow(String kind, String code, String title, String beside, String leads) {}
