import { Link, useParams } from 'react-router';

/** Below what makes up the résumé: it is written in one place, once for all versions. */
export function AtTheDesk() {
  const { site = '' } = useParams();
  return (
    <p className="note">
      This is written at the{' '}
      <Link className="link" to={`/${site}/about/resume`}>
        Résumé desk
      </Link>
      , once for all versions. Readers get the first version that they may have.
    </p>
  );
}
