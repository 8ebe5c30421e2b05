import { expose } from 'comlink';
import { agreementPdf } from './agreement-pdf';
import type { PaperApi } from './api';
import { sheetPdf } from './sheet-pdf';
import { workbook } from './workbook';

const api: PaperApi = { pdf: agreementPdf, sheet: sheetPdf, workbook };

expose(api);
