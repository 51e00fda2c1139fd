import { useMemo } from 'react';
import { creepOf } from '../../core/carry/index.js';
import type { Settings } from '../../core/project/index.js';
import { verdictsUnder } from '../../core/solution/index.js';
import { materialOf, type Material } from '../../core/stock/index.js';
import { useProject } from '../data/project.js';
import { solvedPiece } from '../data/solved.js';
import { Fold } from '../shared/fold.js';
import { HandbookLink } from '../shared/handbook-link.js';
import { Faint, Table } from '../shared/ui.js';

const CLASSES = [1, 2, 3] as const;
const SCHOOLS: readonly { readonly id: Settings['creepSchool']; readonly label: string }[] = [
  { id: 'kdef', label: 'by EN 1995-1-1' },
  { id: 'half', label: 'half as much again' },
];
const SHOWN = ['red-oak', 'birch-plywood', 'mdf-moisture', 'osb3'];

function growth(material: Material, settings: Pick<Settings, 'serviceClass' | 'creepSchool'>): string {
  const creep = creepOf(material, settings);
  return creep.judged ? `× ${Number(creep.factor.toFixed(2))}` : 'not for it';
}

/** What each service class and creep school does to the verdicts on every loaded member of the project. */
export function WhatItDoes() {
  return <Fold summary="What each of them does to the verdicts">{() => <Verdicts />}</Fold>;
}

function Verdicts() {
  const { bench, workshop, workshopOf } = useProject();
  const rows = useMemo(() => {
    const solutions = bench.records.pieces.map((p) => solvedPiece(p.id, p.data, workshopOf));
    return CLASSES.flatMap((serviceClass) =>
      SCHOOLS.map((school) => ({
        serviceClass,
        school,
        counts: verdictsUnder(solutions, workshop, { serviceClass, creepSchool: school.id }),
      })),
    );
  }, [bench, workshop, workshopOf]);
  const { settings } = workshop;
  return (
    <>
      <Table $above={6}>
        <thead>
          <tr>
            <th>Class</th>
            <th>Sag grows</th>
            <th className="figure">Fail</th>
            <th className="figure">Close</th>
            <th className="figure">Fine</th>
            <th className="figure">Not checked</th>
            {SHOWN.map((id) => (
              <th key={id} className="figure">
                {materialOf(id)?.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ serviceClass, school, counts }) => (
            <tr
              key={`${serviceClass} ${school.id}`}
              aria-selected={settings.serviceClass === serviceClass && settings.creepSchool === school.id}
            >
              <td>{serviceClass}</td>
              <td>{school.label}</td>
              <td className="figure">{counts.fails}</td>
              <td className="figure">{counts.close}</td>
              <td className="figure">{counts.fine}</td>
              <td className="figure">{counts['not checked']}</td>
              {SHOWN.map((id) => {
                const material = materialOf(id);
                return (
                  <td key={id} className="figure">
                    {material ? growth(material, { serviceClass, creepSchool: school.id }) : ''}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </Table>
      <Faint>
        Loaded members of every piece in the project. <HandbookLink page="creep">Why sag grows, and the two schools</HandbookLink>
      </Faint>
    </>
  );
}
