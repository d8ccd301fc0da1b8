// Turning the picture: by mouse and touch as three's own controls have it, and by keys.
import { useFrame, useThree } from "@react-three/fiber";
import { useEffect, useMemo } from "react";
import { PerspectiveCamera, Spherical, type Vector3 } from "three";
import { OrbitControls } from "three/addons/controls/OrbitControls.js";

const STEP = Math.PI / 24;
const CLOSER = 0.85;
const FLATTEST = 0.05;
const FROM = new Spherical(1, Math.PI / 3, Math.PI / 7);
const MARGIN = 1;

/** Half of the angle that the picture shows, upright or across, whichever is less. */
function halfAngle(camera: PerspectiveCamera): number {
  const upright = (camera.fov * Math.PI) / 360;
  return Math.min(upright, Math.atan(Math.tan(upright) * camera.aspect));
}

type Props = { centre: Vector3; reach: number };

export function Turning({ centre, reach }: Props) {
  const { camera, gl, invalidate } = useThree();
  const controls = useMemo(() => new OrbitControls(camera, gl.domElement), [camera, gl]);

  useEffect(() => {
    const look = () => {
      const angle = camera instanceof PerspectiveCamera ? halfAngle(camera) : 0.4;
      const distance = (reach * MARGIN) / Math.sin(angle);
      controls.target.copy(centre);
      camera.position.setFromSpherical(new Spherical(distance, FROM.phi, FROM.theta)).add(centre);
      camera.near = distance / 100;
      camera.far = distance * 10;
      camera.updateProjectionMatrix();
      controls.update();
    };
    const turn = (theta: number, phi: number, nearer: number) => {
      const off = new Spherical().setFromVector3(camera.position.clone().sub(controls.target));
      off.theta += theta;
      off.phi = Math.min(Math.max(off.phi + phi, FLATTEST), Math.PI - FLATTEST);
      off.radius *= nearer;
      camera.position.setFromSpherical(off).add(controls.target);
      controls.update();
    };
    const actions: Record<string, () => void> = {
      ArrowLeft: () => turn(-STEP, 0, 1),
      ArrowRight: () => turn(STEP, 0, 1),
      ArrowUp: () => turn(0, -STEP, 1),
      ArrowDown: () => turn(0, STEP, 1),
      "+": () => turn(0, 0, CLOSER),
      "=": () => turn(0, 0, CLOSER),
      "-": () => turn(0, 0, 1 / CLOSER),
      "0": look,
    };
    const keys = (event: KeyboardEvent) => {
      const action = actions[event.key];
      if (action) {
        action();
        event.preventDefault();
      }
    };
    const again = () => invalidate();
    const canvas = gl.domElement;
    canvas.addEventListener("keydown", keys);
    controls.addEventListener("change", again);
    look();
    return () => {
      canvas.removeEventListener("keydown", keys);
      controls.removeEventListener("change", again);
    };
  }, [camera, controls, gl, invalidate, centre, reach]);

  useEffect(() => () => controls.dispose(), [controls]);
  useFrame(() => {
    // Counted for anyone who wants to know how smoothly the picture turns.
    const canvas = gl.domElement;
    canvas.dataset.frames = String(Number(canvas.dataset.frames ?? 0) + 1);
  });
  return null;
}
