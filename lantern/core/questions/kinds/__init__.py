"""One module for each kind. The list of them is `lantern.core.questions.KINDS`."""
