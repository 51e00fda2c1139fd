import { Link, useParams } from 'react-router';

/** A link to a page of the handbook, from where it matters. */
export function HandbookLink({ page, children }: { page: string; children: string }) {
  const { project } = useParams();
  return <Link to={`/p/${project}/handbook/${page}`}>{children}</Link>;
}
