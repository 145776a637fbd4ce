import more from 'virtual:language/en-staff';
import { addEnglish } from '../shared/language';

addEnglish(more);
