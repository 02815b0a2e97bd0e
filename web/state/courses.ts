import { defineStore } from 'pinia';
import { readCourse, type Course } from '#core/course';
import { courseClient } from '../client/documents';
import { cachedList } from '../sync/cached-list';
import { sourceOf } from '../sync/source';
import type { DocumentSource } from '../sync/document-source';

/** The courses: read once, and again whenever one of them was changed anywhere. */
export const useCourses = defineStore('courses', () => {
  const { list: courses, trouble, load, ready, changed } = cachedList(courseClient.list, 'zovrin.courses');
  return { courses, trouble, load, ready, changed };
});

/** A course of the server. */
export const courseSource = (id: string, onSaved: () => void): DocumentSource<Course> => ({
  ...sourceOf(`course.${id}`, readCourse, courseClient.at(id)),
  onSaved,
});
