package isokinon.core.rebuild;

/**
 * What was in the pump when it came to the bench.
 *
 * @param role the part role that wears and is chosen by material, for example diaphragm
 * @param material code of the material fitted in it
 */
public record Fitted(String role, String material) {}
