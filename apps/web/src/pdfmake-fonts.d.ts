declare module 'pdfmake/build/fonts/Roboto';
