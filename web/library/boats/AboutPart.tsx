import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { Choice, Fields, Figure, Part, Words } from './Figures';
import { useBoat } from './boatDesk';

/** Settled here: what the boat is, carries and wears. What would annoy: to look for it among the drawings. */
export function AboutPart() {
  const { craft, change } = useBoat();
  return (
    <Part name="About it">
      <Fields>
        <Words label="Name" value={craft.name} set={(one, name) => ({ ...one, name })} />
        <Words
          label="Colour, as seen from afar"
          value={craft.colour}
          set={(one, colour) => ({ ...one, colour })}
        />
        <Choice
          label="Deck"
          value={craft.deck}
          options={['sit-on-top', 'sit-inside']}
          set={(one, deck) => ({ ...one, deck })}
        />
        <Choice
          label="Hull"
          value={craft.hull}
          options={['rigid', 'inflatable']}
          set={(one, hull) => ({ ...one, hull })}
        />
        <Choice
          label="Drive"
          value={craft.drive}
          options={['paddle', 'pedal', 'motor']}
          set={(one, drive) => ({ ...one, drive })}
        />
        <Choice
          label="Condition"
          value={craft.condition}
          options={['good', 'under repair']}
          set={(one, condition) => ({ ...one, condition })}
        />
        <Figure
          label="Rated load, all told"
          unit="kg"
          assumption="ratedLoadKg"
          value={craft.ratedLoadKg}
          set={(one, ratedLoadKg) => ({ ...one, ratedLoadKg })}
        />
        <Figure
          label="Rated load behind the seat, if told"
          unit="kg"
          value={craft.wellKg}
          set={(one, wellKg) => ({ ...one, wellKg })}
          clear={(one) => ({ ...one, wellKg: null })}
        />
        <Figure
          label="Drain plugs"
          unit=""
          assumption="drainPlugs"
          value={craft.drainPlugs}
          set={(one, drainPlugs) => ({ ...one, drainPlugs })}
        />
        <Words
          label="Where the plugs are: stern, left scupper"
          value={craft.plugNames}
          set={(one, plugNames) => ({ ...one, plugNames })}
        />
        <Figure
          label="Hatches"
          unit=""
          assumption="hatches"
          value={craft.hatches}
          set={(one, hatches) => ({ ...one, hatches })}
        />
        <Figure
          label="Outings with it so far"
          unit=""
          value={craft.outingsLogged}
          set={(one, outingsLogged) => ({ ...one, outingsLogged })}
        />
      </Fields>
      <FormControlLabel
        control={
          <Checkbox checked={craft.marked} onChange={(_, marked) => change((one) => ({ ...one, marked }))} />
        }
        label="Name and number are on the hull"
      />
      <FormControlLabel
        control={
          <Checkbox
            checked={craft.standing}
            onChange={(_, standing) => change((one) => ({ ...one, standing }))}
          />
        }
        label="Its deck is made to stand on"
      />
      <Words label="Note" value={craft.note} set={(one, note) => ({ ...one, note })} lines={2} />
    </Part>
  );
}
