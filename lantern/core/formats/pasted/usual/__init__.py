"""Whether a question was written in a usual way: a second look at what was read, by other means than reading.

The reader takes texts apart in many ways, and each of them may one day meet a text that means something else. So every
question is held against the lines that it was made of:

1. A question is accounted for if each of its lines, as it stood in the text, is one of its parts in one of the usual
   ways of writing that part (a number and what is asked; an option with its letter; an answer with its label; a
   reason), if each part stands there, in its place, and if nothing is left over, not even a sign.
2. What the lines, or the key at the end, say is right has to be what is right in the question.
3. What is asked has to look like it: it begins with a word, no label, number or code stands before it, nothing but a
   word on how to choose behind it; where something is to be typed, it asks, or lacks something.
4. A way that says little ("What pulls the sea? the moon") is usual only where several questions of the text use it; a
   question that nothing answers only where nothing in the text is doubtful.
5. Lines that came into no question are a title, a heading, an instruction above questions, a word to the reader, or
   whole sentences; all others may be a question.
6. What is not accounted for is not wrong: it is doubtful, and its line is shown.

A way of writing is a form: one function in its module, and one line in FORMS (`forms.py`). A form knows the parts of
the question, so that it has nothing to guess: it looks for them.
"""

from lantern.core.formats.pasted.usual.whole import looked_over as looked_over
