// What draws, by itself: reading it in and reading the app in are two tasks, with room for hands between them.
import 'react-dom/client';
