export const metadata = { title: 'Labels' };
export default function LabelsPage() {
  return <h1>Labels</h1>;
}
