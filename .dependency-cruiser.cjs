// Which part of web/ may know which: from the kit up to the stations. Run by `npm run layers`.
module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      comment: 'two files that need each other are one file, or three',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'kit-knows-no-station',
      comment: 'kit/, flight/, pictures/, stage/ and api/ serve every station and know none',
      severity: 'error',
      from: { path: '^web/(kit|flight|pictures|stage|api)/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^web/(stations|shell)/' },
    },
    {
      name: 'kit-draws-no-picture',
      severity: 'error',
      from: { path: '^web/kit/' },
      to: { path: '^web/(pictures|stage)/' },
    },
    {
      name: 'pictures-ask-nobody',
      comment: 'a picture is drawn from what it is given; asking the server is a station’s work',
      severity: 'error',
      from: { path: '^web/(pictures|stage)/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^web/api/(client|queries)', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'stations-keep-to-themselves',
      comment: 'what two stations share moves to kit/ or pictures/',
      severity: 'error',
      from: { path: '^web/stations/([^/]+)/', pathNot: '\\.test\\.tsx?$' },
      to: { path: '^web/stations/', pathNot: '^web/stations/$1/' },
    },
    {
      name: 'no-tests-in-the-application',
      severity: 'error',
      from: { path: '^web/', pathNot: '(\\.test\\.tsx?|setup-tests\\.ts|^web/testing/)' },
      to: { path: '(\\.test\\.tsx?$|^web/testing/)' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js'] },
  },
};
