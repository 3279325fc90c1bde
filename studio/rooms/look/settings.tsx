import { previewPath } from '#contract/material-paths.ts';
import { isPicture } from '#core/materials/material.ts';
import { comforts } from '#core/look/comfort.ts';
import { edges, type Look, schemeChoices } from '#core/look/look.ts';
import { textures } from '#core/look/textures.ts';
import { fontsOf } from '#core/look/fonts-of.ts';
import { coloursOf, schemeOf } from '#core/look/look-rules.ts';
import { recipes } from '#core/look/recipes/recipes.ts';
import { seedsFromPixels } from '#core/look/seeds-from-pixels.ts';
import { themeChange } from '#core/look/theme-change.ts';
import { themeDefaults } from '#core/look/theme-defaults.ts';
import { menuManners } from '#core/menu/menu-manner.ts';
import { type GroundVeil, veilOfGround } from '#core/look/veil-of-ground.ts';
import { openingLayouts } from '#core/pages/opening.ts';
import { wallArrangements } from '#core/sites/wall-arrangement.ts';
import { wallLabels } from '#core/sites/wall-labels.ts';
import type { PageInput } from '#site/render/page-input.ts';
import { themes } from '#site/themes/themes.ts';
import { useSite } from '../../api/site-context.tsx';
import { PickMaterials } from '../../materials/pick-materials.tsx';
import { mannerNames, openingNames, wallLabelNames, wallNames } from '../../ui/arrangement-names.ts';
import { Button } from '../../ui/button.tsx';
import { MaterialPicture } from '../../ui/material-picture.tsx';
import { notice, problemNotice } from '../../ui/notice.ts';
import { Segments } from '../../ui/segments.tsx';
import { SelectField } from '../../ui/select.tsx';
import { FontsChoice } from './fonts-choice.tsx';
import { LookFile } from './look-file.tsx';
import { pixelsOf } from './pixels-of.ts';
import { RangeField } from './range-field.tsx';
import { SeedField } from './seed-field.tsx';
import { ThemesChoice } from './themes-choice.tsx';

const schemeNames = { light: 'Light', dark: 'Dark', device: 'As the reader’s device' } as const;
const comfortNames = { AA: 'Clear (AA)', AAA: 'Extra clear (AAA)' } as const;
const edgeNames = { none: 'Nothing', line: 'A line', mount: 'A mount', shadow: 'A shadow' } as const;
const textureNames = {
  none: 'Plain',
  ruled: 'Ruled',
  squared: 'Squared',
  dots: 'Dots',
  weave: 'Weave',
} as const;

const openings = ['own', ...openingLayouts] as const;
const percent = (value: number) => `${Math.round(value * 100)} %`;

/** Of the lights a look has. */
const seenThrough = (veil: GroundVeil, look: Look) => {
  const scheme = schemeOf(look);
  if (scheme !== 'device') return percent(veil[scheme]);
  return `${percent(veil.light)} by day and ${percent(veil.dark)} by night`;
};

/** All that can be chosen of a look, each with its effect on the page beside it. */
export function Settings({
  front,
  lights,
}: {
  front: PageInput | null;
  lights: ReadonlyMap<string, string>;
}) {
  const { state, changeSite } = useSite();
  const { site } = state;
  const { look } = site;
  const usual = themeDefaults[look.theme];
  const recipe = recipes[look.theme];
  const set = (change: Partial<Look>, label: string) => changeSite({ look: { ...look, ...change } }, label);
  const corners = look.corners ?? usual.corners;
  const onGround = state.materials.filter(isPicture).find(({ id }) => id === look.ground.picture);
  const takeFrom = async (id: string) => {
    const material = state.materials.find((one) => one.id === id);
    if (!material) return;
    try {
      const seeds = seedsFromPixels(await pixelsOf(`/${previewPath(material, 480)}`));
      set({ seeds: { first: seeds.first, second: seeds.second } }, 'Colours from a picture');
      if (!seeds.second && recipe.takesSecond)
        notice('This picture has one colour; the second stays the theme’s.');
    } catch {
      problemNotice('This picture could not be read. Try another one.');
    }
  };
  return (
    <div className="grid gap-6">
      <ThemesChoice
        theme={look.theme}
        input={front}
        onChoose={(theme) => changeSite(themeChange(site, theme), `Theme ${themes[theme].label}`)}
      />
      <div className="grid gap-3">
        <SeedField
          name={recipe.takesSecond ? 'First colour' : 'Colour'}
          value={look.seeds.first}
          usual={recipe.seeds.first}
          onChange={(first) => set({ seeds: { ...look.seeds, first } }, 'First colour')}
        />
        {recipe.takesSecond && (
          <SeedField
            name="Second colour"
            value={look.seeds.second}
            usual={recipe.seeds.second}
            onChange={(second) => set({ seeds: { ...look.seeds, second } }, 'Second colour')}
          />
        )}
        {state.materials.some(isPicture) && (
          <PickMaterials
            title="Take colours from a picture"
            most={1}
            onPick={([id]) => id !== undefined && void takeFrom(id)}
          >
            <Button small className="justify-self-start">
              Take from a picture
            </Button>
          </PickMaterials>
        )}
      </div>
      <div className="grid gap-1">
        <p className="field-name">Light and dark</p>
        <Segments
          label="Light and dark"
          value={schemeOf(look)}
          options={schemeChoices.map((value) => ({ value, name: schemeNames[value] }))}
          onChange={(scheme) => set({ scheme: scheme === recipe.scheme ? null : scheme }, 'Light and dark')}
        />
      </div>
      <div className="grid gap-1">
        <p className="field-name">Reading comfort</p>
        <Segments
          label="Reading comfort"
          value={look.comfort}
          options={comforts.map((value) => ({ value, name: comfortNames[value] }))}
          onChange={(comfort) => set({ comfort }, 'Reading comfort')}
        />
      </div>
      <FontsChoice fonts={fontsOf(look)} usual={usual.fonts} onChoose={(fonts) => set({ fonts }, 'Fonts')} />
      <div className="grid gap-3">
        <RangeField
          name="Size of words"
          {...{ value: look.textSize, min: 0.9, max: 1.3, step: 0.05 }}
          said={percent(look.textSize)}
          onChange={(textSize) => set({ textSize }, 'Size of words')}
        />
        <RangeField
          name="Space"
          {...{ value: look.spacing, min: 0.8, max: 1.3, step: 0.05 }}
          said={percent(look.spacing)}
          onChange={(spacing) => set({ spacing }, 'Space')}
        />
        <RangeField
          name="Corners"
          {...{ value: corners, min: 0, max: 36, step: 1 }}
          said={corners === 0 ? 'square' : `${corners} px`}
          onChange={(value) => set({ corners: value === usual.corners ? null : value }, 'Corners')}
        />
      </div>
      <div className="grid gap-1">
        <p className="field-name">Around pictures</p>
        <Segments
          label="Around pictures"
          value={look.edge ?? usual.edge}
          options={edges.map((value) => ({ value, name: edgeNames[value] }))}
          onChange={(edge) => set({ edge: edge === usual.edge ? null : edge }, 'Around pictures')}
        />
      </div>
      <div className="grid gap-3">
        <SeedField
          name="Ground of the page"
          value={look.ground.colour}
          usual={
            coloursOf(
              { ...look, ground: { ...look.ground, colour: null } },
              schemeOf(look) === 'dark' ? 'dark' : 'light',
            ).colours.paper ?? '#ffffff'
          }
          onChange={(colour) => set({ ground: { ...look.ground, colour } }, 'Ground of the page')}
        />
        <SelectField
          name="Texture of the ground"
          value={look.ground.texture ?? usual.texture}
          options={textures.map((value) => ({ value, name: textureNames[value] }))}
          onChange={(texture) =>
            set(
              { ground: { ...look.ground, texture: texture === usual.texture ? null : texture } },
              'Texture of the ground',
            )
          }
        />
      </div>
      {state.materials.some(isPicture) && (
        <div className="grid gap-1">
          <p className="field-name">Picture on the ground</p>
          <div className="flex flex-wrap items-center gap-3">
            {onGround && <MaterialPicture material={onGround} alt="" className="h-14 w-20 object-cover" />}
            <PickMaterials
              title="Choose a picture for the ground"
              most={1}
              onPick={([picture]) =>
                picture !== undefined && set({ ground: { ...look.ground, picture } }, 'Picture on the ground')
              }
            >
              <Button small>{onGround ? 'Another picture' : 'Choose a picture'}</Button>
            </PickMaterials>
            {onGround && (
              <Button
                small
                onClick={() => set({ ground: { ...look.ground, picture: null } }, 'Picture on the ground')}
              >
                None
              </Button>
            )}
          </div>
          {onGround && (
            <p className="note">
              {`It shows through ${seenThrough(veilOfGround(lights.get(onGround.id), look, 'page'), look)} of the page’s colour, the least with which all words hold.`}
            </p>
          )}
        </div>
      )}
      <div className="grid gap-3">
        <SelectField
          name="Pages open with"
          value={look.opening ?? 'own'}
          options={openings.map((value) => ({
            value,
            name: value === 'own' ? 'What each page says' : openingNames[value],
          }))}
          onChange={(value) => set({ opening: value === 'own' ? null : value }, 'How pages open')}
        />
        <SelectField
          name="Menu"
          value={site.menu}
          options={menuManners.map((value) => ({ value, name: mannerNames[value] }))}
          onChange={(menu) => changeSite({ menu }, 'Manner of the menu')}
        />
        <SelectField
          name="Wall of the front page"
          value={site.wall}
          options={wallArrangements.map((value) => ({ value, name: wallNames[value] }))}
          onChange={(wall) => changeSite({ wall }, 'Arrangement of the wall')}
        />
        <SelectField
          name="The name of each stands"
          value={site.wallLabels}
          options={wallLabels.map((value) => ({ value, name: wallLabelNames[value] }))}
          onChange={(value) => changeSite({ wallLabels: value }, 'Where names stand on the wall')}
        />
      </div>
      <LookFile onTake={(taken, label) => changeSite({ look: taken }, label)} />
    </div>
  );
}
