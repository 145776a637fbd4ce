import { Plus } from '@phosphor-icons/react';
import { useState } from 'react';
import { toast } from 'sonner';
import { Button, TextButton } from '../ui/Button';
import { IconButton } from '../ui/IconButton';
import { Checkbox, Radios, Switch } from '../ui/Checkbox';
import { ErrorText, FieldRow, FieldSet } from '../ui/Field';
import { FileButton } from '../ui/FileButton';
import { Brand, Neatline } from '../ui/Frame';
import { Meter, Range, RangeScale } from '../ui/Measures';
import { Menu, MenuCheck, MenuItem, MenuLabel, MenuLine } from '../ui/Menu';
import { PageHead, Row, ScrollPage } from '../ui/Page';
import { Segments } from '../ui/Segments';
import { Select } from '../ui/Select';
import { Flag, Plate, Token, Waiting } from '../ui/Shapes';
import { Slider } from '../ui/Slider';
import { Spread } from '../ui/Spread';
import { DateField } from '../ui/DateField';
import { NumberField, PasswordField, SearchField, TextArea, TextField } from '../ui/TextField';
import { Toasts } from '../ui/Toasts';
import { TideMarks } from '../ui/TideMarks';
import { Buoy } from '../ui/Buoy';
import { Lists, Windows } from './KitLists';
import { Part } from './Part';
import { States } from './KitStates';

/* Shows each piece in every state, in development only. Its sentences are not the product's, so they are not in the catalogue. */

const scale = { from: 0, to: 60, step: 20, width: 160 };

/** Everything in ui/, to look at and to walk. */
export default function Kit() {
  return (
    <main className="h-screen overflow-auto">
      <Neatline />
      <ScrollPage>
        <PageHead title="The kit" beside={<Brand />}>
          <Button look="main">Assign to 3 readers…</Button>
        </PageHead>
        <Buttons />
        <Fields />
        <Choices />
        <Shapes />
        <States />
        <Windows />
        <Lists />
      </ScrollPage>
      <Toasts />
    </main>
  );
}

function Buttons() {
  return (
    <Part title="Buttons">
      {(['md', 'sm', 'reader', 'foot'] as const).map((size) => (
        <Row key={size}>
          {(['outline', 'main', 'plain', 'danger'] as const).map((look) => (
            <Button key={look} size={size} look={look}>
              {look} {size}
            </Button>
          ))}
          <Button size={size} aria-pressed>
            pressed
          </Button>
          <Button size={size} disabled>
            disabled
          </Button>
          <Button size={size} look="main" disabled>
            Choose a text first
          </Button>
          <IconButton size={size} label={`Add, ${size}`}>
            <Plus size={20} aria-hidden />
          </IconButton>
        </Row>
      ))}
      <Row>
        <TextButton>A button in text</TextButton>
        <Button asChild>
          <a href="#kit">A link</a>
        </Button>
        <FileButton label="Choose a file" accept=".csv" take={() => undefined} />
        <Menu label="Menu">
          <MenuLabel>What it is about</MenuLabel>
          <MenuItem>Do this</MenuItem>
          <MenuItem disabled>Cannot be done now</MenuItem>
          <MenuLine />
          <MenuCheck checked set={() => undefined}>
            Shown
          </MenuCheck>
        </Menu>
        <Button onClick={() => toast.success('Assigned “The Ferry Cat” to 5 readers.', { duration: Infinity })}>
          Toast
        </Button>
      </Row>
    </Part>
  );
}

function Fields() {
  const [text, setText] = useState('Salt Letters');
  const [n, setN] = useState<number | null>(12);
  const [grade, setGrade] = useState('4');
  return (
    <Part title="Fields">
      <FieldRow>
        <TextField label="Title" hint="Up to 120 characters" value={text} set={setText} />
        <TextField label="Title, wrong" error="Enter a title." value="" set={setText} />
        <TextField label="Title, disabled" disabled value="Fog Signal" set={setText} />
        <NumberField label="Days" value={n} set={setN} unset={() => setN(null)} />
        <DateField label="Due" value="2026-12-18" set={() => undefined} />
        <PasswordField label="Password" defaultValue="low water" />
        <Select
          label="Grade"
          value={grade}
          set={setGrade}
          options={[
            { value: '', label: 'any grade' },
            { value: '4', label: 'grade 4' },
            { value: '5', label: 'grade 5', disabled: true },
          ]}
        />
        <SearchField label="Search" placeholder="Name or group" />
      </FieldRow>
      <TextArea label="Directions" defaultValue="Read the page twice." rows={2} />
      <ErrorText>Not saved yet. Fix the highlighted fields.</ErrorText>
    </Part>
  );
}

function Choices() {
  const [on, setOn] = useState(true);
  const [view, setView] = useState<'week' | 'all'>('week');
  const [order, setOrder] = useState<'free' | 'fixed'>('free');
  const [depth, setDepth] = useState(1);
  return (
    <Part title="Choices">
      <Row>
        <Checkbox checked={on} set={setOn}>
          Read aloud
        </Checkbox>
        <Checkbox checked="indeterminate" set={setOn}>
          Some of them
        </Checkbox>
        <Checkbox checked={false} disabled set={setOn}>
          Not now
        </Checkbox>
        <Switch checked={on} set={setOn}>
          Tide pool
        </Switch>
        <Segments
          label="View"
          value={view}
          set={setView}
          options={[
            { value: 'week', label: 'Week' },
            { value: 'all', label: 'All' },
          ]}
        />
      </Row>
      <FieldSet legend="Order" framed>
        <Radios
          label="Order"
          value={order}
          set={setOrder}
          options={[
            { value: 'free', label: 'free' },
            { value: 'fixed', label: 'in order' },
          ]}
        />
      </FieldSet>
      <Slider
        label="Sentences as long"
        from={0.5}
        to={2}
        step={0.1}
        value={depth}
        set={setDepth}
        said={`${depth} times`}
      />
    </Part>
  );
}

function Shapes() {
  return (
    <Part title="Shapes and measures">
      <Row>
        <Flag>Mateo 33</Flag>
        <Flag chosen>Leila 37</Flag>
        <Flag deep remove={() => undefined} removeLabel="Remove Ciara from tray">
          Ciara
        </Flag>
        <Plate>How a Barometer Listens</Plate>
        <Plate chosen remove={() => undefined} removeLabel="Remove Fog Signal from tray">
          Fog Signal
        </Plate>
        <Token remove={() => undefined} removeLabel="Remove the filter">
          Read since 13 Nov
        </Token>
        <Waiting n={6} what="to mark" />
        <Buoy topmark="M4 5.500h6L7 1z" />
        <TideMarks of={['RightAtOnce', 'AfterAnotherTry', 'NotYet', 'Unanswered']} />
      </Row>
      <Row>
        <RangeScale {...scale} label="Depth from 0 to 60 fathoms" />
        <Range {...scale} low={28} mean={33} high={38} />
        <Spread
          of={[
            { id: 'a', percent: 66, deep: true },
            { id: 'b', percent: 78, deep: false },
            { id: 'c', percent: 79, deep: false },
          ]}
          from={70}
          to={90}
          label="Forecast: 66%, 78%, 79%"
        />
        <div className="w-50">
          <Meter label="Words" of={2500} at={1784} due={2000} />
        </div>
      </Row>
    </Part>
  );
}
