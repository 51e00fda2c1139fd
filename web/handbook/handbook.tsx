import { NavLink, Navigate, useParams } from 'react-router';
import styled from 'styled-components';
import { Header } from '../shared/header.js';
import { Page } from '../shared/ui.js';
import { line, phone, tape } from '../theme/tokens.js';
import { PAGES } from './pages/index.js';

const Layout = styled.div`
  display: grid;
  grid-template-columns: 230px minmax(0, 1fr);
  gap: 32px;
  @media ${phone} {
    grid-template-columns: 1fr;
  }
`;

const Contents = styled.nav`
  border-top: 1px solid ${line};
  a {
    display: block;
    padding: 7px 8px;
    border-bottom: 1px solid ${line};
    color: inherit;
    text-decoration: none;
  }
  a[aria-current='page'] {
    font-weight: 650;
    box-shadow: inset 4px 0 0 ${tape};
  }
`;

const Prose = styled.article`
  max-width: 720px;
  p {
    margin: 10px 0;
    font-size: 15px;
    line-height: 1.5;
  }
  h2 {
    margin-top: 22px;
    font-size: 18px;
  }
  ul,
  ol {
    padding-left: 22px;
    list-style: disc;
    line-height: 1.6;
  }
  ol {
    list-style: decimal;
  }
`;

/** The handbook: why the figures are what they are, each page with something to try. */
export function Handbook() {
  const { page, project } = useParams();
  const shown = PAGES.find((p) => p.id === page);
  const [first] = PAGES;
  if (!shown) return <Navigate to={`/p/${project}/handbook/${first?.id}`} replace />;
  const Body = shown.body;
  return (
    <>
      <Header />
      <Page>
        <Layout>
          <Contents aria-label="Pages of the handbook">
            {PAGES.map((p) => (
              <NavLink key={p.id} to={`/p/${project}/handbook/${p.id}`}>
                {p.title}
              </NavLink>
            ))}
          </Contents>
          <Prose key={shown.id}>
            <h1>{shown.title}</h1>
            <Body />
          </Prose>
        </Layout>
      </Page>
    </>
  );
}
