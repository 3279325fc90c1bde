import { Copy, Trash2 } from 'lucide-react';
import { effectiveHeight } from '#core/access/effective-height.ts';
import type { ShownPage } from '#core/pages/page.ts';
import { entryOf } from '#core/resume/version-applied.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';
import { CheckField } from '../../ui/check-field.tsx';
import { CopyLink } from '../../ui/copy-link.tsx';
import { Field } from '../../ui/field.tsx';
import { HeightRow } from '../../ui/height-control.tsx';
import { LanguageField } from '../../ui/language-field.tsx';
import { SelectField } from '../../ui/select.tsx';
import { ReadingEaseNote } from '../../ui/reading-ease-note.tsx';
import { InAndOut } from './in-and-out.tsx';
import { entriesOf, type ResumeSteps, type Version, versionsOf } from './use-resume.ts';

interface VersionSettingsProps {
  page: ShownPage;
  version: Version;
  steps: ResumeSteps;
  onShow: (version: string) => void;
}

/** What the lines of a version say, in its words. */
const linesOf = (page: ShownPage, version: Version): string[] =>
  entriesOf(page)
    .filter(({ id }) => version.entries.includes(id))
    .flatMap((entry) => entryOf(version, entry).lines.map(({ text }) => text));

/** What a version is: whom it is for, how long, in what, and who gets it. */
export function VersionSettings({ page, version, steps, onShow }: VersionSettingsProps) {
  const { state } = useSite();
  const change = (more: Partial<Version>) => steps.changeVersion({ ...version, ...more });
  const versions = versionsOf(page);
  const [first] = versions;
  const path = state.live.pageLinkPaths[version.id];
  return (
    <section aria-labelledby="version-title" className="grid content-start gap-4">
      <h2 id="version-title" className="text-l">
        This version
      </h2>
      <Field
        label="Whom it is for"
        hint="readers never see this"
        value={version.name}
        maxLength={80}
        onChange={({ target }) => change({ name: target.value })}
      />
      <Field
        label="What it asks for"
        hint="words your lines should speak of"
        value={version.wants}
        maxLength={300}
        onChange={({ target }) => change({ wants: target.value })}
      />
      <div className="grid gap-3 sm:grid-cols-2">
        <SelectField
          name="Length"
          value={version.pages === 1 ? '1' : '2'}
          options={[
            { value: '1', name: 'One page' },
            { value: '2', name: 'Two pages' },
          ]}
          onChange={(pages) => change({ pages: pages === '1' ? 1 : 2 })}
        />
        <SelectField
          name="Paper"
          value={version.paper}
          options={[
            { value: 'a4', name: 'A4' },
            { value: 'letter', name: 'Letter' },
          ]}
          onChange={(paper) => change({ paper })}
        />
        <SelectField
          name="Letters"
          value={version.fonts}
          options={[
            { value: 'site', name: 'Those of the site' },
            { value: 'plain', name: 'A plain set' },
          ]}
          onChange={(fonts) => change({ fonts })}
        />
        <LanguageField
          name="Language"
          value={version.language}
          none="That of the page"
          onChange={(language) => change({ language })}
        />
      </div>
      <HeightRow
        of="this version"
        effective={effectiveHeight(state, { page: page.id, part: version.id })}
        onChange={(height) => change({ height })}
      />
      {version.height === 'unlisted' &&
        (path ? (
          <div>
            <p className="field-name">
              Its own link <em>opens this version and nothing else</em>
            </p>
            <CopyLink path={path} label="Link to this version" />
          </div>
        ) : (
          <p className="note">Published like this, it has a link of its own that opens nothing else.</p>
        ))}
      <p className="note">
        {version === first
          ? 'Readers get the first version that they may have. This is the first.'
          : 'Readers get the first version that they may have. Others stand before this one.'}{' '}
        {version !== first && (
          <button type="button" className="link" onClick={() => steps.putFirst(version)}>
            Put this one first
          </button>
        )}
      </p>
      <CheckField
        name="Readers can take it along as a PDF"
        checked={version.file}
        onChange={(file) => change({ file })}
      />
      <ReadingEaseNote
        text={linesOf(page, version).join('\n')}
        language={version.language ?? page.language ?? state.site.language}
      />
      <InAndOut {...{ page, version, steps }} />
      <div className="flex flex-wrap gap-2">
        <Button small onClick={() => onShow(steps.addVersion(version))}>
          <Copy size={15} aria-hidden="true" />
          One more like this
        </Button>
        {versions.length > 1 && (
          <Button
            small
            look="danger"
            onClick={() => {
              const next = versions.find(({ id }) => id !== version.id);
              steps.removeVersion(version);
              if (next) onShow(next.id);
            }}
          >
            <Trash2 size={15} aria-hidden="true" />
            Take it off
          </Button>
        )}
      </div>
    </section>
  );
}
