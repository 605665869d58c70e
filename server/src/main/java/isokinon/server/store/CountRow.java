package isokinon.server.store;

/** How often something was confirmed. */
public record CountRow(String id, int times) {}
