import { useQuery, useQueryClient } from '@tanstack/react-query';
import styled from 'styled-components';
import { useEffect, useState } from 'react';
import { api } from '../data/api.js';
import { TakeOut } from '../shared/take-out.js';
import { Button, Faint, Row, Section } from '../shared/ui.js';
import { Laid } from '../shared/laid.js';

const OnWhite = styled.svg`
  background: white;
`;

const KEY = ['shop'] as const;

/** The time of day of a moment, ms since 1970. */
const clock = (at: number) => new Date(at).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' });

/** A QR code as a picture of squares. */
function Code({ text }: { text: string }) {
  const [path, setPath] = useState<{ readonly d: string; readonly size: number } | null>(null);
  useEffect(() => {
    let gone = false;
    void import('qrcode').then(({ default: QRCode }) => {
      const { modules } = QRCode.create(text, { errorCorrectionLevel: 'M' });
      const squares = Array.from({ length: modules.size ** 2 }, (_, i) => [Math.floor(i / modules.size), i % modules.size] as const);
      const d = squares.flatMap(([row, column]) => (modules.get(row, column) ? [`M${column} ${row}h1v1h-1z`] : [])).join('');
      if (!gone) setPath({ d, size: modules.size });
    });
    return () => {
      gone = true;
    };
  }, [text]);
  if (!path) return null;
  return (
    <OnWhite viewBox={`-2 -2 ${path.size + 4} ${path.size + 4}`} width={190} role="img" aria-label={`A code that opens ${text}`}>
      <path d={path.d} fill="black" shapeRendering="crispEdges" />
    </OnWhite>
  );
}

/** Phones at the bench: how one is let in, and which are. */
export function Phones() {
  const client = useQueryClient();
  const { data: shop } = useQuery({ queryKey: KEY, queryFn: () => api.shop(), refetchInterval: 3000 });
  if (!shop) return null;
  const [address] = shop.addresses;
  const look = (done: Promise<unknown>) => done.then(() => client.invalidateQueries({ queryKey: KEY }));
  return (
    <Section aria-label="Phones at the bench">
      <h2>Phones at the bench</h2>
      {shop.on ? (
        <>
          <Faint>
            A phone opens this address and gives the code, which is good for ten minutes and one phone. Nobody else is let in.
            {window.location.protocol === 'http:' ? ' There is no TLS here: what goes over the network can be read in it.' : null}
          </Faint>
          {shop.code === null ? (
            <p>No code is good now.</p>
          ) : address ? (
            <Row $above={8} $align="center" $gap={18}>
              <Code text={`${address}/pair#${shop.code.code}`} />
              <div>
                <p>
                  {shop.addresses.map((a) => (
                    <Laid.span key={a} $display="block">
                      {a}/pair
                    </Laid.span>
                  ))}
                </p>
                <Laid.p $size={30} $weight={750} $spacing={4} aria-label="The code">
                  {shop.code.code}
                </Laid.p>
                <Faint>until {clock(shop.code.until)}</Faint>
              </div>
            </Row>
          ) : (
            <p>No network was found that a phone could reach this machine by. The code is {shop.code.code}.</p>
          )}
          <Row $above={8}>
            <Button onPress={() => void look(api.makeCode())}>{shop.code === null ? 'Make a code' : 'Make another code'}</Button>
          </Row>
          {shop.wrong.length > 0 ? (
            <Laid.p $above={8} role="status">
              Wrong codes came from {shop.wrong.map((w) => `${w.address} (${w.count}, the last at ${clock(w.at)})`).join(', ')}. From there
              none is taken for a while; others are let in as ever.
            </Laid.p>
          ) : null}
        </>
      ) : (
        <Faint>
          Ruvok listens to this machine alone. Start it with <code>npm start -- --shop</code> to have the steps on a phone in the shop.
        </Faint>
      )}
      {shop.phones.length > 0 ? (
        <Laid.ul $above={10} aria-label="Phones that are paired">
          {shop.phones.map((p) => (
            <li key={p.id}>
              <Row>
                {p.name}{' '}
                <Faint>
                  since {new Date(p.pairedAt).toLocaleDateString()}, here last on {new Date(p.usedAt).toLocaleDateString()}
                </Faint>
                <TakeOut name={p.name} onPress={() => void look(api.letGo(p.id))} />
              </Row>
            </li>
          ))}
        </Laid.ul>
      ) : null}
    </Section>
  );
}
