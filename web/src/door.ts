/** The pages of signing in and out need the styles alone. */
import './app.css';
