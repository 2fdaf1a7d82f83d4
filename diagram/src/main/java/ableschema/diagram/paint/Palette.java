package ableschema.diagram.paint;

import ableschema.diagram.picture.Ink;

/** Which of its colours each ink has. */
public enum Palette {
    LIGHT,
    DARK;

    /** The colour as {@code #RRGGBB}. */
    public String hex(Ink ink) {
        return this == LIGHT ? ink.hex() : ink.darkHex();
    }
}
