/** What is promised in types and docstrings. One suite, since what it takes is the compiler's reading of all the code: once for both. */
import './everySentence';
import './publicExamples';
