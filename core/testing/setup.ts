import { loadPolars } from './polarStore';

loadPolars();
