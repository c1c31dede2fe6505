/** Circles, of type imports too, between files and between folders. */
export default {
  forbidden: [
    { name: 'no-circle-of-files', severity: 'error', from: {}, to: { circular: true } },
    { name: 'no-circle-of-folders', severity: 'error', scope: 'folder', from: {}, to: { circular: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.test\\.tsx?$|/test/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.tsx'] },
  },
};
