// Small things that make the pages quick at the bench. Every page works without them.
import './keys.js';
import './camera.js';
import './chosen.js';
import './follow.js';
import './forms.js';
import './marks.js';
import './pages.js';
import './board.js';
import './photo.js';
import './progress.js';
import './unsent.js';
