package ableschema.core.edit;

import ableschema.core.document.Edit;

/** One way that a relationship could be, with what makes it so. */
record Way(String label, Edit edit, boolean current) {}
