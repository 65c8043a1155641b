import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { type KeyboardEvent, useEffect, useMemo, useRef, useState } from 'react';
import { PerspectiveCamera, Raycaster, Spherical, Vector2, Vector3, WebGLRenderer } from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import type { Stance } from '#core/vocabulary/boat';
import { reachShells } from '#core/boat/solid';
import { saySpot } from '#core/stow/say';
import { amount } from '#core/units/amount';
import { figure, listed } from '#core/units/words';
import type { Lies } from '../../../../ui/boat/handling';
import { useStow } from '../useStow';
import { type RoundInput, freeScene, pressedOf, sceneOf, standingInCast } from './scene';

interface Props {
  lies: Lies | null;
  heelsToPort: boolean;
  stance: Stance;
}

/** Where one looks from: degrees round from astern by starboard, and over the water. */
const viewpoints = [
  { name: 'Quarter', from: 'the starboard quarter', roundDeg: 40, overDeg: 26 },
  { name: 'Side', from: 'the starboard side', roundDeg: 90, overDeg: 6 },
  { name: 'Ahead', from: 'ahead', roundDeg: 160, overDeg: 20 },
  { name: 'Above', from: 'above', roundDeg: 90, overDeg: 88 },
] as const;
const FIELD_DEG = 28;
/** A press moves the finger no farther than this, px. */
const STILL_PX = 5;
const KEY_TURN = Math.PI / 18;

/**
 * Settled here: how the laden boat looks from any side, what stands in the way, what a hand reaches. What
 * would annoy: to have to learn how to steer it.
 */
export function RoundView({ lies, heelsToPort, stance }: Props) {
  const { plan, boarded, chosen, choose, names } = useStow();
  const { inks } = useTheme();
  const [shows, setShows] = useState<RoundInput['shows']>({ reach: true, casting: false });
  const [open, setOpen] = useState<string | null>(null);
  const holder = useRef<HTMLDivElement>(null);
  const spot = useRef<HTMLSpanElement>(null);
  const stage = useRef<Stage | null>(null);
  const [fails, setFails] = useState(false);
  const { heightM } = boarded.angler;
  const scene = useMemo(
    () => sceneOf({ plan, heightM, stance, lies, heelsToPort, chosen, open, shows, inks }),
    [plan, heightM, stance, lies, heelsToPort, chosen, open, shows, inks],
  );
  useEffect(() => {
    if (!holder.current) return undefined;
    const made = makeStage(holder.current, plan.craft.lengthM);
    if (!made) {
      setFails(true);
      return undefined;
    }
    stage.current = made;
    return () => {
      stage.current = null;
      made.end();
    };
  }, [plan.craft.lengthM]);
  useEffect(() => {
    stage.current?.show(scene);
    return () => freeScene(scene);
  }, [scene]);
  const inTheWay = standingInCast(plan, reachShells(plan.craft, { heightM }, stance).hand.centre.zM);
  const placed = chosen === null ? undefined : plan.byId.get(chosen);
  const afloat = lies
    ? `floating ${amount(lies.draftM, 'm', 2)} deep, ${figure(Math.abs(lies.trimDeg))}° bow ${lies.trimDeg < 0 ? 'down' : 'up'}`
    : 'not on the water';
  const words = `${plan.craft.name} in the round, ${afloat}; arrow keys turn it, plus and minus zoom`;
  const byKey = (event: KeyboardEvent) => {
    const turns: Record<string, readonly [number, number]> = {
      ArrowLeft: [-KEY_TURN, 0],
      ArrowRight: [KEY_TURN, 0],
      ArrowUp: [0, -KEY_TURN],
      ArrowDown: [0, KEY_TURN],
    };
    const turn = turns[event.key];
    if (turn) stage.current?.turn(...turn);
    else if (event.key === '+' || event.key === '=') stage.current?.nearer(0.85);
    else if (event.key === '-') stage.current?.nearer(1 / 0.85);
    else return;
    event.preventDefault();
  };
  if (fails)
    return (
      <Typography role="status" sx={{ my: 2 }}>
        This browser cannot draw in the round. The drawing from above and from the side shows the same boat,
        with everything in its place.
      </Typography>
    );
  return (
    <Box component="section" aria-label="In the round" sx={{ position: 'relative' }}>
      <Box
        ref={holder}
        role="application"
        aria-label={words}
        tabIndex={0}
        onKeyDown={byKey}
        onPointerDown={(event) => stage.current?.press(event.clientX, event.clientY)}
        onPointerUp={(event) => {
          const pressed = stage.current?.release(event.clientX, event.clientY);
          if (pressed?.is === 'lid') setOpen(open === pressed.id ? null : pressed.id);
          if (pressed?.is !== 'thing' || !holder.current || !spot.current) return;
          const frame = holder.current.getBoundingClientRect();
          spot.current.style.left = `${event.clientX - frame.left}px`;
          spot.current.style.top = `${event.clientY - frame.top}px`;
          choose(pressed.id, spot.current);
        }}
        sx={{
          height: { xs: '46dvh', sm: 'max(320px, calc(100dvh - 424px))' },
          ...{ border: 1, borderColor: 'divider', borderRadius: 1, overflow: 'hidden', cursor: 'grab' },
          '& canvas': { display: 'block' },
        }}
      />
      <span ref={spot} tabIndex={-1} style={{ position: 'absolute', width: 1, height: 1 }} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 0.5, mt: 0.5 }}>
        {viewpoints.map(({ name, from, roundDeg, overDeg }) => (
          <Button
            key={name}
            aria-label={`Seen from ${from}`}
            onClick={() => stage.current?.look(roundDeg, overDeg)}
          >
            {name}
          </Button>
        ))}
        {(['reach', 'casting'] as const).map((what) => (
          <FormControlLabel
            key={what}
            label={what === 'reach' ? 'Reach' : 'Casting'}
            control={
              <Switch
                checked={shows[what]}
                onChange={(_, checked) => setShows({ ...shows, [what]: checked })}
              />
            }
            sx={{ ml: 1, minHeight: 44 }}
          />
        ))}
      </Box>
      <Typography variant="body2" color="textSecondary" role="status">
        {placed ? `${placed.one.item.name}, ${saySpot(placed.spot, placed.one.item.kind, names)}. ` : ''}
        {shows.reach &&
          'The inner rings: what a hand reaches from the seat; the outer: with a twist and a lean. By your height, an estimate. '}
        {shows.casting &&
          (inTheWay.length > 0
            ? `Standing behind you in the way of an overhead cast: ${listed(inTheWay.map(({ one }) => one.item.name))}. `
            : 'Nothing stands behind you in the way of an overhead cast. ')}
        Drag to turn it; a lid opens when pressed.
      </Typography>
    </Box>
  );
}

interface Stage {
  show: (scene: ReturnType<typeof sceneOf>) => void;
  turn: (roundRad: number, overRad: number) => void;
  nearer: (share: number) => void;
  look: (roundDeg: number, overDeg: number) => void;
  press: (x: number, y: number) => void;
  release: (x: number, y: number) => ReturnType<typeof pressedOf>;
  end: () => void;
}

/** A canvas in a frame, drawn only when something changes; null: the browser has no WebGL. */
function makeStage(holder: HTMLElement, lengthM: number): Stage | null {
  let renderer: WebGLRenderer;
  try {
    renderer = new WebGLRenderer({ antialias: true });
  } catch {
    return null;
  }
  const camera = new PerspectiveCamera(FIELD_DEG, 1, 0.1, 60);
  const controls = new OrbitControls(camera, renderer.domElement);
  let scene: ReturnType<typeof sceneOf> | null = null;
  let frame = 0;
  const draw = () => {
    frame = 0;
    if (scene) renderer.render(scene, camera);
    holder.dataset.drawn = 'yes';
  };
  const redraw = () => (frame ||= requestAnimationFrame(draw));
  const middle = new Vector3(0, 0.3, 0);
  const around = new Spherical();
  const moveCamera = (change: (at: Spherical) => void) => {
    around.setFromVector3(camera.position.clone().sub(controls.target));
    change(around);
    around.phi = Math.min(Math.max(around.phi, 0.02), controls.maxPolarAngle);
    camera.position.setFromSpherical(around).add(controls.target);
    controls.update();
    redraw();
  };
  const look = (roundDeg: number, overDeg: number) => {
    controls.target.copy(middle);
    const narrow = Math.min(1, camera.aspect / 1.5);
    moveCamera((at) => {
      // Round from astern, which is at minus x; starboard is at plus z.
      at.theta = ((roundDeg - 90) * Math.PI) / 180;
      at.phi = ((90 - overDeg) * Math.PI) / 180;
      at.radius = (1.4 * lengthM) / Math.max(0.35, narrow);
    });
  };
  controls.maxPolarAngle = 1.9;
  controls.minDistance = 0.6;
  controls.maxDistance = 4 * lengthM;
  controls.addEventListener('change', redraw);
  const fit = () => {
    const { clientWidth, clientHeight } = holder;
    if (clientWidth === 0 || clientHeight === 0) return;
    renderer.setPixelRatio(Math.min(2, devicePixelRatio));
    renderer.setSize(clientWidth, clientHeight);
    camera.aspect = clientWidth / clientHeight;
    camera.updateProjectionMatrix();
    redraw();
  };
  const observer = new ResizeObserver(fit);
  holder.append(renderer.domElement);
  fit();
  observer.observe(holder);
  camera.position.set(-1, 1, 1);
  look(viewpoints[0].roundDeg, viewpoints[0].overDeg);
  let down: Vector2 | null = null;
  const ray = new Raycaster();
  ray.params.Line.threshold = 0;
  return {
    show: (next) => {
      scene = next;
      redraw();
    },
    turn: (roundRad, overRad) =>
      moveCamera((at) => {
        at.theta += roundRad;
        at.phi += overRad;
      }),
    nearer: (share) =>
      moveCamera((at) => {
        at.radius = Math.min(controls.maxDistance, Math.max(controls.minDistance, at.radius * share));
      }),
    look,
    press: (x, y) => (down = new Vector2(x, y)),
    release: (x, y) => {
      const still = down !== null && down.distanceTo(new Vector2(x, y)) <= STILL_PX;
      down = null;
      if (!still || !scene) return null;
      const canvas = renderer.domElement.getBoundingClientRect();
      const at = new Vector2(
        ((x - canvas.left) / canvas.width) * 2 - 1,
        1 - ((y - canvas.top) / canvas.height) * 2,
      );
      ray.setFromCamera(at, camera);
      const hits = ray.intersectObjects(scene.children, true);
      return hits.map(({ object }) => pressedOf(object)).find((one) => one !== null) ?? null;
    },
    end: () => {
      cancelAnimationFrame(frame);
      observer.disconnect();
      controls.dispose();
      renderer.dispose();
      renderer.domElement.remove();
    },
  };
}
