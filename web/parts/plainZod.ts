/** The page's content policy allows no code made from text: schemas are walked instead of compiled, and do not try. */
import { z } from 'zod';

z.config({ jitless: true });
