// Independent libraries, asked by the PHP tests: a task by name, its input as JSON on stdin, its answer as JSON on stdout.
import { readFileSync } from 'node:fs';

const input = JSON.parse(readFileSync(0, 'utf8') || 'null');

const tasks = {
  /** [[unix seconds, lat, lon], …] to [[azimuth, geometric altitude], …], degrees, by astronomy-engine (VSOP87, its own series). */
  async sunPositions() {
    const { Body, Equator, Horizon, Observer } = await import('astronomy-engine');
    return input.map(([time, lat, lon]) => {
      const date = new Date(time * 1000);
      const observer = new Observer(lat, lon, 0);
      const { ra, dec } = Equator(Body.Sun, date, observer, true, true);
      const { azimuth, altitude } = Horizon(date, observer, ra, dec);
      return [azimuth, altitude];
    });
  },
  /**
   * [[unix noon, lat, lon], …] to rise, set, and the evening's and morning's +6, -4 and -6 degrees, unix seconds or null, by
   * astronomy-engine.
   */
  async sunTimes() {
    const { Body, Observer, SearchAltitude } = await import('astronomy-engine');
    const seconds = (found) => (found === null ? null : found.date.getTime() / 1000);
    return input.map(([noon, lat, lon, altitude]) => {
      const observer = new Observer(lat, lon, 0);
      const rising = SearchAltitude(Body.Sun, observer, +1, new Date((noon - 43200) * 1000), 0.5, altitude);
      const sinking = SearchAltitude(Body.Sun, observer, -1, new Date(noon * 1000), 0.5, altitude);
      return [seconds(rising), seconds(sinking)];
    });
  },
  /** [[unix noon, lat, lon], …] to sunrise, sunset by suncalc, unix seconds or null. */
  async suncalc() {
    const library = await import('suncalc');
    const getTimes = library.getTimes ?? library.default.getTimes;
    return input.map(([noon, lat, lon]) => {
      const times = getTimes(new Date(noon * 1000), lat, lon);
      const seconds = (date) => (date === null || Number.isNaN(date.getTime()) ? null : date.getTime() / 1000);
      return [seconds(times.sunrise), seconds(times.sunset)];
    });
  },
  /** [[unix seconds, zone], …] to the hours that clocks there show, by the time zone data of ICU. */
  async hours() {
    return input.map(([time, timeZone]) =>
      new Date(time * 1000).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit', timeZone }),
    );
  },
  /** An iCalendar text to its events, by ical.js. */
  async calendar() {
    const { default: ICAL } = await import('ical.js');
    const calendar = new ICAL.Component(ICAL.parse(input));
    return calendar.getAllSubcomponents('vevent').map((one) => {
      const event = new ICAL.Event(one);
      return {
        uid: event.uid,
        summary: event.summary,
        description: event.description,
        location: event.location,
        start: event.startDate.toJSDate().toISOString(),
        end: event.endDate.toJSDate().toISOString(),
        geo: one.getFirstPropertyValue('geo'),
        alarms: one.getAllSubcomponents('valarm').length,
      };
    });
  },
  /** A KML or GPX text to GeoJSON, by togeojson on xmldom. */
  async kml() {
    const { kml } = await import('@tmcw/togeojson');
    const { DOMParser } = await import('@xmldom/xmldom');
    return kml(new DOMParser().parseFromString(input, 'text/xml'));
  },
  /** A GeoJSON text checked position by position, by check-geojson; it throws what is wrong. */
  async geojson() {
    const { check } = await import('@placemarkio/check-geojson');
    return check(input);
  },
  /** A WebVTT text to its cues and every fault found, by webvtt-parser. */
  async vtt() {
    const library = await import('webvtt-parser');
    const WebVTTParser = library.WebVTTParser ?? library.default.WebVTTParser;
    const { cues, errors } = new WebVTTParser().parse(input, 'metadata');
    return { cues: cues.map(({ startTime, endTime, text }) => [startTime, endTime, text]), errors: errors.map((error) => error.message) };
  },
  /** A CSV text to its rows, strictly, by csv-parse. */
  async csv() {
    const { parse } = await import('csv-parse/sync');
    return parse(input, { columns: true, relax_column_count: false, record_delimiter: '\r\n' });
  },
  async gpx() {
    const { gpx } = await import('@tmcw/togeojson');
    const { DOMParser } = await import('@xmldom/xmldom');
    return gpx(new DOMParser().parseFromString(input, 'text/xml'));
  },
};

process.stdout.write(JSON.stringify(await tasks[process.argv[2]]()));
