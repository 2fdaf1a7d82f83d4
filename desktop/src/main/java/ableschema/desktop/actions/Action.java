package ableschema.desktop.actions;

/**
 * Something that can be done.
 *
 * @param keys how the keys are written for people, such as "Ctrl+K"; empty where there are none
 */
public record Action(String name, String keys, Runnable run) {}
