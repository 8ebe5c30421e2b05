import { expose } from 'comlink';
import { agreementPdf } from './agreement-pdf';
import type { PaperApi } from './api';

const api: PaperApi = { pdf: agreementPdf };

expose(api);
