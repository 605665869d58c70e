package isokinon.core.rules;

/**
 * Why an act cannot be recorded.
 *
 * @param path the field at fault, for example {@code value}
 * @param message a sentence for the person at the bench
 */
public record ActRefusal(String path, String message) {}
